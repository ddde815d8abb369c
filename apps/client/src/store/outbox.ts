import type { Command, Problem, RepairView } from '@kelmot/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A command on its way: waiting, or refused with the server's reason. It stays until it is sent or thrown away by name. */
export interface Waiting {
  command: Command;
  refused: Problem | null;
  current: RepairView | null;
}

export interface Outbox {
  queue: Waiting[];
}

export const initialOutbox: Outbox = { queue: [] };

const slice = createSlice({
  name: 'outbox',
  initialState: initialOutbox,
  reducers: {
    queued: (state, { payload }: PayloadAction<Command>) => {
      if (!state.queue.some((w) => w.command.id === payload.id)) {
        state.queue.push({ command: payload, refused: null, current: null });
      }
    },
    sent: (state, { payload }: PayloadAction<string>) => {
      state.queue = state.queue.filter((w) => w.command.id !== payload);
    },
    refused: (
      state,
      { payload }: PayloadAction<{ id: string; problem: Problem; current: RepairView | null }>,
    ) => {
      const waiting = state.queue.find((w) => w.command.id === payload.id);
      if (waiting) Object.assign(waiting, { refused: payload.problem, current: payload.current });
    },
    /** Sends again what was refused, against the version the repair has now. */
    retried: (state, { payload }: PayloadAction<{ id: string; expect?: number }>) => {
      const waiting = state.queue.find((w) => w.command.id === payload.id);
      if (!waiting) return;
      waiting.refused = null;
      waiting.current = null;
      if (payload.expect !== undefined && 'expect' in waiting.command)
        waiting.command.expect = payload.expect;
    },
    thrownAway: (state, { payload }: PayloadAction<string>) => {
      state.queue = state.queue.filter((w) => w.command.id !== payload);
    },
    outboxRead: (_, { payload }: PayloadAction<Outbox>) => payload,
  },
});

export const { queued, sent, refused, retried, thrownAway, outboxRead } = slice.actions;
export const outboxReducer = slice.reducer;
