import type { Ack, Command } from '@kelmot/contract';
import {
  createListenerMiddleware,
  isAnyOf,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { api, signedIn, type ApiError } from '@/store/api';
import { TOLERATED_MS, type Clock } from '@/store/clock';
import {
  failed,
  keptElsewhere,
  laneOf,
  queued,
  refused,
  retried,
  retimed,
  sent,
  thrownAway,
  type AnyCommand,
  type Outbox,
  type QueuedCommand,
} from '@/store/outbox';
import type { Settings } from '@/store/settings';
import { inOneTab } from './oneTab';
import { entriesReceived } from './persister';

/** First and longest wait after a lost connection, ms; each wait is double the one before, with 50 % random spread. */
const WAIT_MS = 2000;
const LONGEST_WAIT_MS = 60_000;
/** After this many failures of the server, a command is set aside. */
const MOST_TRIES = 6;

/**
 * The wait after so many failed tries in a row; random, so that devices that lost signal together do not return
 * together.
 */
export const waitAfter = (tries: number, chance = Math.random()): number =>
  Math.ceil(Math.min(LONGEST_WAIT_MS, WAIT_MS * 2 ** (tries - 1)) * (0.5 + chance));

/** Sends the outbox in order, one command at a time, with ids made when typed: sent twice, a command has one effect. */
export const sender = createListenerMiddleware();

/** Dispatches actions and requests to the server. */
type Dispatch = ThunkDispatch<unknown, unknown, UnknownAction>;

interface State {
  outbox: Outbox;
  clock: Clock;
  settings: Settings;
}
/** The person that commands are sent as: signed in and not leaving. */
const senderOf = (state: unknown): string | undefined =>
  (state as State).settings.leaving ? undefined : signedIn(state)?.id;
type Api = Parameters<NonNullable<Parameters<typeof sender.startListening>[0]['effect']>>[1];
type Answer = { ack: Partial<Ack> } | { error: ApiError };

/** Signal is back, or the application is visible again. */
const isBack = ({ type }: UnknownAction): boolean =>
  type === '__rtkq/online' || type === '__rtkq/focused';
const isNews = isAnyOf(queued, retried, thrownAway, entriesReceived);
const { matchFulfilled: isSignedIn } = api.endpoints.me;
const begins = (action: UnknownAction): boolean =>
  isNews(action) || isBack(action) || isSignedIn(action);

/**
 * Fetches the repair before its command leaves the outbox, because the answer may have been lost: nothing flickers
 * back.
 */
async function sendCommand(dispatch: Dispatch, command: Command, by: string): Promise<Answer> {
  const result = await dispatch(api.endpoints.command.initiate({ command, by }, { track: false }));
  if (result.error) return { error: result.error as ApiError };
  // A read that started before the write can return the old state, and RTK Query would reuse it for the next read.
  await dispatch(api.util.getRunningQueryThunk('repair', command.repairId));
  const fresh = dispatch(api.endpoints.repair.initiate(command.repairId, { forceRefetch: true }));
  const { error } = await fresh;
  fresh.unsubscribe();
  if ((error as ApiError | undefined)?.kind === 'offline') return { error: { kind: 'offline' } };
  if (error) dispatch(api.util.invalidateTags([{ type: 'Repair', id: command.repairId }]));
  return { ack: result.data };
}

async function send(dispatch: Dispatch, command: AnyCommand, by: string): Promise<Answer> {
  if ('repairId' in command) return sendCommand(dispatch, command, by);
  const { error } =
    command.type === 'shelf.move'
      ? await dispatch(api.endpoints.moveStock.initiate({ move: command.move, by }))
      : await dispatch(api.endpoints.importCards.initiate({ file: command.file, by }));
  return error ? { error: error as ApiError } : { ack: {} };
}

/**
 * The next command to send: of the signed-in person, and not from a lane that is blocked by a rejected or resting one.
 */
function nextOf({ queue }: Outbox, me: string, resting: ReadonlyMap<string, number>) {
  const held = new Set(
    queue.filter((w) => w.refused || resting.has(w.id)).map((w) => laneOf(w.command)),
  );
  for (const waiting of queue) {
    const lane = laneOf(waiting.command);
    if (held.has(lane)) continue;
    if (waiting.by === null || waiting.by.id === me) return waiting;
    // Another person's command is first in this lane: it and the ones after it wait until they sign in.
    held.add(lane);
  }
  return undefined;
}

/** Once the clock is known to be wrong, corrects the time of what was typed. */
function rightTime(dispatch: Dispatch, { clock }: State, { id, aheadMs }: QueuedCommand): boolean {
  const byMs = aheadMs - clock.aheadMs;
  if (Math.abs(byMs) <= TOLERATED_MS) return false;
  dispatch(retimed({ id, byMs }));
  return true;
}

function done(
  dispatch: Dispatch,
  { id, command }: QueuedCommand,
  { version, keptWith }: Partial<Ack>,
) {
  dispatch(sent({ id, version }));
  if (!('repairId' in command)) return;
  const { repairId, type } = command;
  if (keptWith) dispatch(keptElsewhere({ id, repairId, type, plan: keptWith }));
  dispatch(api.util.invalidateTags(['Repairs', 'Assets']));
}

/** Sends until nothing is left to send. Returns true if it must stop until the signed-in person is known. */
async function drain(listener: Api): Promise<boolean> {
  const dispatch = listener.dispatch as Dispatch;
  const state = () => listener.getState() as State;
  /** Commands that the server failed to process, with the end of their rest, epoch ms. */
  const resting = new Map<string, number>();
  let lost = 0;
  const rest = async (ms: number) => {
    const news = await listener.take((action) => isNews(action) || isBack(action), ms);
    if (news && isBack(news[0])) resting.clear();
    for (const [id, until] of resting) if (until <= Date.now()) resting.delete(id);
  };
  for (;;) {
    const me = senderOf(listener.getState());
    const waiting = me === undefined ? undefined : nextOf(state().outbox, me, resting);
    if (me === undefined || (!waiting && resting.size === 0)) return false;
    if (!waiting) {
      await rest(Math.max(0, Math.min(...resting.values()) - Date.now()));
      continue;
    }
    if (rightTime(dispatch, state(), waiting)) continue;
    const answer = await send(dispatch, waiting.command, me);
    if ('ack' in answer) {
      lost = 0;
      done(dispatch, waiting, answer.ack);
      continue;
    }
    const { error } = answer;
    const status = error.kind === 'problem' ? error.problem.status : null;
    if (status === null || status === 429) {
      lost += 1;
      await rest(waitAfter(lost));
      continue;
    }
    if (status === 401 || status === 412) {
      // Another person or nobody is signed in now: it goes on once that is known.
      dispatch(api.util.invalidateTags(['Me']));
      return true;
    }
    const { problem, current = null } = error as Extract<ApiError, { kind: 'problem' }>;
    if (status >= 500 && waiting.tries + 1 < MOST_TRIES) {
      dispatch(failed(waiting.id));
      resting.set(waiting.id, Date.now() + waitAfter(waiting.tries + 1));
      continue;
    }
    // The time was rejected, and by now the clock is known to be wrong.
    const untimely = problem.issues?.some((i) => i.path === 'at');
    if (untimely && rightTime(dispatch, state(), waiting)) continue;
    dispatch(refused({ id: waiting.id, problem, current }));
  }
}

let sending = false;

sender.startListening({
  predicate: begins,
  effect: async (_, listener) => {
    if (sending) return;
    sending = true;
    const ready = () => {
      const me = senderOf(listener.getState());
      const { outbox } = listener.getState() as State;
      return me !== undefined && nextOf(outbox, me, new Map()) !== undefined;
    };
    try {
      let stopped = false;
      while (!stopped && ready())
        await inOneTab(listener.dispatch, async () => {
          stopped = await drain(listener);
        });
    } finally {
      sending = false;
    }
  },
});
