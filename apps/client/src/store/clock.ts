import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A smaller difference of clocks is ignored: a request takes time, and the server's time has whole seconds. */
export const TOLERATED_MS = 30_000;

/** By how much the device's clock is ahead of the server's, ms; negative: behind; zero: equal. */
export interface Clock {
  aheadMs: number;
}

export interface ClockSeen {
  server: number;
  asked: number;
  answered: number;
}

export const initialClock: Clock = { aheadMs: 0 };

const slice = createSlice({
  name: 'clock',
  initialState: initialClock,
  reducers: {
    /** The server's time, and the device's times before and after the request, epoch ms. */
    clockSeen: (state, { payload }: PayloadAction<ClockSeen>) => {
      const { server, asked, answered } = payload;
      // No request takes so long: the device slept or its clock was set in between, so the moment of the server's time
      // is unknown.
      if (Math.abs(answered - asked) > TOLERATED_MS) return;
      const ahead = (asked + answered) / 2 - server;
      const aheadMs = Math.abs(ahead) < TOLERATED_MS ? 0 : ahead;
      // A few seconds are network delay; a clock that was set differs by more.
      if (aheadMs === 0 || Math.abs(aheadMs - state.aheadMs) > TOLERATED_MS / 2)
        state.aheadMs = aheadMs;
    },
  },
});

export const { clockSeen } = slice.actions;
export const clockReducer = slice.reducer;

/** The time by the site's clock, epoch ms. */
export const siteTime = ({ aheadMs }: Clock): number => Date.now() - aheadMs;
