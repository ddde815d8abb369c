import type { Intent, UnitSystem, Weights } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Settings {
  theme: 'auto' | 'light' | 'night';
  units: UnitSystem;
  /** A person’s own weights for the order at Match; the usual ones where there are none. */
  weights: Partial<Record<Intent, Weights>>;
  /** Somebody signed out without signal: the server is told before anybody is let in again. */
  leaving: boolean;
  /** Clocks are called out by sound, vibration and a notification too; never by these alone. */
  loud: boolean;
  /** Steps, clocks and verdicts are read aloud too. */
  aloud: boolean;
  /** Repairs that this device always has with it, closed ones too, by their ids. */
  pinned: Record<string, true>;
}

export const initialSettings: Settings = {
  theme: 'auto',
  units: 'metric',
  weights: {},
  leaving: false,
  loud: false,
  aloud: false,
  pinned: {},
};

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
    weightMoved: (
      state,
      { payload }: PayloadAction<{ intent: Intent; weights: Record<string, number> }>,
    ) => {
      state.weights[payload.intent] = payload.weights;
    },
    left: (state, { payload }: PayloadAction<boolean>) => {
      state.leaving = payload;
    },
    loudChosen: (state, { payload }: PayloadAction<boolean>) => {
      state.loud = payload;
    },
    aloudChosen: (state, { payload }: PayloadAction<boolean>) => {
      state.aloud = payload;
    },
    pinned: (state, { payload: { id, on } }: PayloadAction<{ id: string; on: boolean }>) => {
      if (on) state.pinned[id] = true;
      else delete state.pinned[id];
    },
    weightsReset: (state, { payload }: PayloadAction<Intent>) => {
      delete state.weights[payload];
    },
  },
});

export const {
  themeChosen,
  unitsChosen,
  weightMoved,
  weightsReset,
  left,
  loudChosen,
  aloudChosen,
  pinned,
} = slice.actions;
export const settingsReducer = slice.reducer;
