import type { Present } from '@kelmot/contract';
import type { Figure } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { queued } from './outbox';

/** What is open on the screen now and is forgotten with it. */
interface ViewState {
  working: Figure | null;
  keysShown: boolean;
  /** Whether the server answered the last time that it was asked. */
  signal: boolean;
  /** Who took the device in hand without signal is asked for the code. */
  confirming: boolean;
  /** A newer version of the application is on the device and waits to be loaded. */
  updateReady: boolean;
  /** What was called out and nobody has put away yet, the newest first. */
  called: Called[];
  /** Who has the repair open that is open here; null while that is not known. */
  present: { repairId: string; people: Present[] } | null;
}

/** What a clock of a repair called out. */
export interface Called {
  repairId: string;
  tag: string;
  text: string;
  urgent: boolean;
}
/** One is shown and the rest a touch away; more than this nobody reads. */
const MOST_CALLED = 20;

const initialState: ViewState = {
  working: null,
  keysShown: false,
  signal: true,
  confirming: false,
  updateReady: false,
  called: [],
  present: null,
};

function away(state: ViewState, repairId: string): void {
  state.called = state.called.filter((c) => c.repairId !== repairId);
}

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
    confirmAsked: (state, { payload }: PayloadAction<boolean>) => {
      state.confirming = payload;
    },
    /** One of a repair takes the place of what it called out before. */
    calledOut: (state, { payload }: PayloadAction<Called>) => {
      const others = state.called.filter((c) => c.repairId !== payload.repairId);
      state.called = [payload, ...others].slice(0, MOST_CALLED);
    },
    putAway: (state, { payload }: PayloadAction<string>) => away(state, payload),
    presentSeen: (state, { payload }: PayloadAction<ViewState['present']>) => {
      state.present = payload;
    },
    updateFound: (state) => {
      state.updateReady = true;
    },
  },
  // Who has done something about it has heard the call.
  extraReducers: (build) =>
    build.addCase(queued, (state, { payload: { command } }) => {
      if ('repairId' in command) away(state, command.repairId);
    }),
});

export const {
  workingShown,
  keysToggled,
  signalSeen,
  confirmAsked,
  calledOut,
  putAway,
  presentSeen,
  updateFound,
} = slice.actions;
export const viewReducer = slice.reducer;
