import type { Figure } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is open on the screen now and is forgotten with it. */
interface ViewState {
  working: Figure | null;
  keysShown: boolean;
  /** Whether the server answered the last time that it was asked. */
  signal: boolean;
  /** A newer version of the application is on the device and waits to be loaded. */
  updateReady: boolean;
}

const initialState: ViewState = {
  working: null,
  keysShown: false,
  signal: true,
  updateReady: false,
};

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
    signalSeen: (state, { payload }: PayloadAction<boolean>) => {
      state.signal = payload;
    },
    updateFound: (state) => {
      state.updateReady = true;
    },
  },
});

export const { workingShown, keysToggled, signalSeen, updateFound } = slice.actions;
export const viewReducer = slice.reducer;
