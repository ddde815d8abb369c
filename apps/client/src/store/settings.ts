import type { UnitSystem } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Settings {
  theme: 'auto' | 'light' | 'night';
  units: UnitSystem;
}

export const initialSettings: Settings = { theme: 'auto', units: 'metric' };

const slice = createSlice({
  name: 'settings',
  initialState: initialSettings,
  reducers: {
    themeChosen: (state, { payload }: PayloadAction<Settings['theme']>) => {
      state.theme = payload;
    },
    unitsChosen: (state, { payload }: PayloadAction<UnitSystem>) => {
      state.units = payload;
    },
    settingsRead: (_, { payload }: PayloadAction<Settings>) => payload,
  },
});

export const { themeChosen, unitsChosen, settingsRead } = slice.actions;
export const settingsReducer = slice.reducer;
