import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A clock that differs by less is right: the way there and back takes time, and moments come in whole seconds. */
export const TOLERATED_MS = 30_000;

/** How far the clock of this device runs ahead of the server’s, ms; negative: behind; zero: it is right. */
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
    /** The moment that the server gave, and those of this device between which it was asked for, epoch ms. */
    clockSeen: (state, { payload }: PayloadAction<ClockSeen>) => {
      const { server, asked, answered } = payload;
      // No answer takes as long: the device slept or was set meanwhile, and when the server spoke nobody knows.
      if (Math.abs(answered - asked) > TOLERATED_MS) return;
      const ahead = (asked + answered) / 2 - server;
      const aheadMs = Math.abs(ahead) < TOLERATED_MS ? 0 : ahead;
      // Seconds more or less are the way there: a clock that was set shows more.
      if (aheadMs === 0 || Math.abs(aheadMs - state.aheadMs) > TOLERATED_MS / 2)
        state.aheadMs = aheadMs;
    },
  },
});

export const { clockSeen } = slice.actions;
export const clockReducer = slice.reducer;

/** The moment by the clock of the site, epoch ms. */
export const nowBy = ({ aheadMs }: Clock): number => Date.now() - aheadMs;
