import type { Figure } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is open on the screen now and is forgotten with it. */
interface ViewState {
  working: Figure | null;
  keysShown: boolean;
}

const initialState: ViewState = { working: null, keysShown: false };

const slice = createSlice({
  name: 'view',
  initialState,
  reducers: {
    workingShown: (state, { payload }: PayloadAction<Figure | null>) => {
      state.working = payload;
    },
    keysToggled: (state) => {
      state.keysShown = !state.keysShown;
    },
  },
});

export const { workingShown, keysToggled } = slice.actions;
export const viewReducer = slice.reducer;
