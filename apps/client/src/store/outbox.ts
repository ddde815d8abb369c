import type { CardFile, Command, Problem, RepairView, StockMove } from '@kelmot/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A move of the shelf, or a change of cards, waiting like a command does. */
interface Own<T extends string> {
  type: T;
  id: string;
  at: string;
}
export type ShelfDeed = Own<'shelf.move'> & { move: StockMove };
export type CardsDeed = Own<'cards.import'> & { file: CardFile };
/** Whatever can wait on a device. */
export type Deed = Command | ShelfDeed | CardsDeed;

/** Who typed it: it is sent as this person alone. */
export interface Author {
  id: string;
  name: string;
}

/** A deed on its way: waiting, or refused with the server's reason. It stays until it is sent or thrown away by name. */
export interface Waiting<D extends Deed = Deed> {
  id: string;
  /** Its place in the order in which things were typed. */
  seq: number;
  command: D;
  /** Null where an earlier version kept it: then it is whoever’s is signed in. */
  by: Author | null;
  /** How far the clock of this device was known to run ahead when it was typed, ms. */
  aheadMs: number;
  /** How often the server could not take it. */
  tries: number;
  refused: Problem | null;
  current: RepairView | null;
}

type Typed = Pick<Waiting, 'command' | 'by' | 'aheadMs'>;

/** A record that the server kept with an earlier plan, until whoever made it has read that. */
export interface KeptElsewhere {
  id: string;
  seq: number;
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

/** What must be sent in order among itself: one repair, the shelf, the cards. */
export const laneOf = (deed: Deed): string => ('repairId' in deed ? deed.repairId : deed.type);

/** Whether what waits is a command on a repair. */
export const isCommand = (waiting: Waiting): waiting is Waiting<Command> =>
  'repairId' in waiting.command;

/** What waits of one repair, in order. */
export const waitingOf = (queue: readonly Waiting[], repairId: string): Waiting<Command>[] =>
  queue.filter(isCommand).filter((w) => w.command.repairId === repairId);

const after = (list: readonly { seq: number }[]): number => (list.at(-1)?.seq ?? 0) + 1;

/** What is left in a lane now follows a version of it: what this device sent last, or what was looked at instead. */
function follow(queue: Waiting[], lane: string, version: number): void {
  for (const { command } of queue)
    if (laneOf(command) === lane && 'expect' in command) command.expect = version;
}

const slice = createSlice({
  name: 'outbox',
  initialState: initialOutbox,
  reducers: {
    queued: (state, { payload }: PayloadAction<Typed>) => {
      const { id } = payload.command;
      if (state.queue.some((w) => w.id === id)) return;
      const fresh = { tries: 0, refused: null, current: null };
      state.queue.push({ id, seq: after(state.queue), ...payload, ...fresh });
    },
    /** The clock of this device was wrong by so much when it was typed: it carries the right moment from now on. */
    retimed: (state, { payload }: PayloadAction<{ id: string; byMs: number }>) => {
      const waiting = state.queue.find((w) => w.id === payload.id);
      if (!waiting) return;
      const { command } = waiting;
      const right = (at: string) => new Date(Date.parse(at) + payload.byMs).toISOString();
      command.at = right(command.at);
      if (command.type === 'shelf.move') command.move.at = command.at;
      waiting.aheadMs -= payload.byMs;
    },
    /** Taken by the server. An edit made here later was made knowing of this one, and follows its version. */
    sent: (state, { payload }: PayloadAction<{ id: string; version?: number }>) => {
      const gone = state.queue.find((w) => w.id === payload.id);
      if (!gone) return;
      state.queue = state.queue.filter((w) => w !== gone);
      if (payload.version !== undefined && 'expect' in gone.command)
        follow(state.queue, laneOf(gone.command), payload.version);
    },
    /** The server could not take it: it is tried again, so often. */
    failed: (state, { payload }: PayloadAction<string>) => {
      const waiting = state.queue.find((w) => w.id === payload);
      if (waiting) waiting.tries += 1;
    },
    refused: (
      state,
      { payload }: PayloadAction<{ id: string; problem: Problem; current: RepairView | null }>,
    ) => {
      const waiting = state.queue.find((w) => w.id === payload.id);
      if (waiting) Object.assign(waiting, { refused: payload.problem, current: payload.current });
    },
    /** Sends again what was refused, against the version the repair has now. */
    retried: (state, { payload }: PayloadAction<{ id: string; expect?: number }>) => {
      const waiting = state.queue.find((w) => w.id === payload.id);
      if (!waiting) return;
      Object.assign(waiting, { refused: null, current: null, tries: 0 });
      if (payload.expect !== undefined && 'expect' in waiting.command)
        waiting.command.expect = payload.expect;
    },
    keptElsewhere: (state, { payload }: PayloadAction<Omit<KeptElsewhere, 'seq'>>) => {
      state.kept.push({ ...payload, seq: after(state.kept) });
    },
    /** Read by whoever opened the repair. */
    keptRead: (state, { payload }: PayloadAction<string>) => {
      state.kept = state.kept.filter((k) => k.repairId !== payload);
    },
    /** Given up by name. Who gave way to another’s change has seen it: what comes after follows that. */
    thrownAway: (state, { payload }: PayloadAction<string>) => {
      const gone = state.queue.find((w) => w.id === payload);
      if (!gone) return;
      state.queue = state.queue.filter((w) => w !== gone);
      if (gone.current) follow(state.queue, laneOf(gone.command), gone.current.version);
    },
  },
});

export const {
  queued,
  retimed,
  sent,
  failed,
  refused,
  retried,
  keptElsewhere,
  keptRead,
  thrownAway,
} = slice.actions;
export const outboxReducer = slice.reducer;
