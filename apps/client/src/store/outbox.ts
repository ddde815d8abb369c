import type { Command, Problem, RepairView } from '@kelmot/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A command on its way: waiting, or refused with the server's reason. It stays until it is sent or thrown away by name. */
export interface Waiting {
  command: Command;
  refused: Problem | null;
  current: RepairView | null;
}

/** A record that the server kept with an earlier plan, until whoever made it has read that. */
export interface KeptElsewhere {
  id: string;
  repairId: string;
  type: Command['type'];
  /** The number of that plan. */
  plan: number;
}

export interface Outbox {
  queue: Waiting[];
  kept: KeptElsewhere[];
}

export const initialOutbox: Outbox = { queue: [], kept: [] };

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
    keptElsewhere: (state, { payload }: PayloadAction<KeptElsewhere>) => {
      state.kept.push(payload);
    },
    /** Read by whoever opened the repair. */
    keptRead: (state, { payload }: PayloadAction<string>) => {
      state.kept = state.kept.filter((k) => k.repairId !== payload);
    },
    thrownAway: (state, { payload }: PayloadAction<string>) => {
      state.queue = state.queue.filter((w) => w.command.id !== payload);
    },
    outboxRead: (_, { payload }: PayloadAction<Outbox>) => payload,
  },
});

export const { queued, sent, refused, retried, keptElsewhere, keptRead, thrownAway, outboxRead } =
  slice.actions;
export const outboxReducer = slice.reducer;
