import type { CardFile, Command, Problem, RepairView, StockMove } from '@kelmot/contract';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A stock move or a card import that is queued like a command. */
interface Own<T extends string> {
  type: T;
  id: string;
  at: string;
}
export type ShelfCommand = Own<'shelf.move'> & { move: StockMove };
export type CardsCommand = Own<'cards.import'> & { file: CardFile };
/** Anything that can be queued on a device. */
export type AnyCommand = Command | ShelfCommand | CardsCommand;

/** The author: a command is sent only as this person. */
export interface Author {
  id: string;
  name: string;
}

/**
 * A command in the outbox: queued, or rejected with the server's reason. It stays until it is sent or its author
 * removes it.
 */
export interface QueuedCommand<D extends AnyCommand = AnyCommand> {
  id: string;
  /** Its number in the order of typing. */
  seq: number;
  command: D;
  /** Null for an entry of an earlier version: it belongs to the signed-in person. */
  by: Author | null;
  /** By how much the device's clock was known to be ahead when it was typed, ms. */
  aheadMs: number;
  /** How often the server failed to process it. */
  tries: number;
  refused: Problem | null;
  current: RepairView | null;
}

type Typed = Pick<QueuedCommand, 'command' | 'by' | 'aheadMs'>;

/** A record that the server kept with an earlier plan, until its author has read that. */
export interface EarlierPlanRecord {
  id: string;
  seq: number;
  repairId: string;
  type: Command['type'];
  /** The number of that plan. */
  plan: number;
}

export interface Outbox {
  queue: QueuedCommand[];
  kept: EarlierPlanRecord[];
}

export const initialOutbox: Outbox = { queue: [], kept: [] };

/** Commands of one lane are sent in order: one repair, the shelf, the cards. */
export const laneOf = (command: AnyCommand): string =>
  'repairId' in command ? command.repairId : command.type;

/** Whether a queued item is a command on a repair. */
export const isCommand = (waiting: QueuedCommand): waiting is QueuedCommand<Command> =>
  'repairId' in waiting.command;

/** The queued commands of one repair, in order. */
export const waitingOf = (
  queue: readonly QueuedCommand[],
  repairId: string,
): QueuedCommand<Command>[] =>
  queue.filter(isCommand).filter((w) => w.command.repairId === repairId);

const after = (list: readonly { seq: number }[]): number => (list.at(-1)?.seq ?? 0) + 1;

/**
 * The rest of a lane now expects this version: the one that this device's last edit made, or the one that was looked at
 * instead.
 */
function follow(queue: QueuedCommand[], lane: string, version: number): void {
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
    /** Corrects the time of a command by the error of the device's clock. */
    retimed: (state, { payload }: PayloadAction<{ id: string; byMs: number }>) => {
      const waiting = state.queue.find((w) => w.id === payload.id);
      if (!waiting) return;
      const { command } = waiting;
      const right = (at: string) => new Date(Date.parse(at) + payload.byMs).toISOString();
      command.at = right(command.at);
      if (command.type === 'shelf.move') command.move.at = command.at;
      waiting.aheadMs -= payload.byMs;
    },
    /** Accepted by the server. A later edit on this device was made knowing this one, and expects its version. */
    sent: (state, { payload }: PayloadAction<{ id: string; version?: number }>) => {
      const gone = state.queue.find((w) => w.id === payload.id);
      if (!gone) return;
      state.queue = state.queue.filter((w) => w !== gone);
      if (payload.version !== undefined && 'expect' in gone.command)
        follow(state.queue, laneOf(gone.command), payload.version);
    },
    /** The server could not process it; counts the tries. */
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
    /** Sends a rejected command again, against the repair's present version. */
    retried: (state, { payload }: PayloadAction<{ id: string; expect?: number }>) => {
      const waiting = state.queue.find((w) => w.id === payload.id);
      if (!waiting) return;
      Object.assign(waiting, { refused: null, current: null, tries: 0 });
      if (payload.expect !== undefined && 'expect' in waiting.command)
        waiting.command.expect = payload.expect;
    },
    keptElsewhere: (state, { payload }: PayloadAction<Omit<EarlierPlanRecord, 'seq'>>) => {
      state.kept.push({ ...payload, seq: after(state.kept) });
    },
    /** The person who opened the repair has read it. */
    keptRead: (state, { payload }: PayloadAction<string>) => {
      state.kept = state.kept.filter((k) => k.repairId !== payload);
    },
    /** Removed by its author. On a conflict they have seen the other change: later commands expect that version. */
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
