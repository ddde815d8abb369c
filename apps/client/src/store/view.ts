import type { Present } from '@kelmot/contract';
import type { Figure } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { queued } from './outbox';

/** What is open on the screen now; not kept. */
interface ViewState {
  working: Figure | null;
  keysShown: boolean;
  /** Whether the server answered the last request. */
  signal: boolean;
  /** The person who took over the device without signal is asked for the code. */
  confirming: boolean;
  /** A newer version of the application is on the device and can be loaded. */
  updateReady: boolean;
  /** Calls that nobody has dismissed yet, the newest first. */
  called: Called[];
  /** The people who have the open repair open; null while unknown. */
  present: { repairId: string; people: Present[] } | null;
}

/** A call of a repair's clock. */
export interface Called {
  repairId: string;
  tag: string;
  text: string;
  urgent: boolean;
}
/** One call is shown and the others on touch; the rest are dropped. */
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
    /** A new call of a repair replaces its earlier call. */
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
  // A person who acts on the repair has noticed the call.
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
