import { createListenerMiddleware } from '@reduxjs/toolkit';
import { api, signedIn } from '@/store/api';
import { readsKept } from '@/store/reads';
import { dropAnswer, readAnswer, writeAnswer } from '../offline/disk';

/** A query as RTK Query's cache identifies it. */
interface Question {
  endpointName: string;
  originalArgs: unknown;
  queryCacheKey: string;
}
interface Asked {
  type: string;
  meta: { arg: Question };
  payload: unknown;
}
type ApiState = { [api.reducerPath]: ReturnType<typeof api.reducer> };

const PENDING = `${api.reducerPath}/executeQuery/pending`;
const ANSWERED = `${api.reducerPath}/executeQuery/fulfilled`;

/**
 * Who is signed in, and whom the device knows, is asked before a person is known: these answers belong to the device.
 */
const WHO = 'me';
const OF_DEVICE: readonly string[] = [WHO, 'here'];

/** The storage key of an answer: each person of a device has their own answers. Null while the person is unknown. */
function keyOf({ endpointName, queryCacheKey }: Question, state: unknown): string | null {
  if (OF_DEVICE.includes(endpointName)) return endpointName;
  const me = signedIn(state);
  return me ? `${me.id} ${queryCacheKey}` : null;
}

const isKept = (endpoint: string): endpoint is keyof typeof readsKept =>
  Object.hasOwn(readsKept, endpoint);

/**
 * Keeps every answer of the server on the device, and shows the kept one while a query runs: a screen that was seen
 * once opens at once, and opens without signal.
 */
export const answers = createListenerMiddleware();

answers.startListening({
  predicate: (action) => action.type === ANSWERED,
  effect: async (action, { getState }) => {
    const { meta, payload: data } = action as unknown as Asked;
    const key = isKept(meta.arg.endpointName) ? keyOf(meta.arg, getState()) : null;
    if (key !== null) await writeAnswer({ key, data, at: Date.now() });
  },
});

answers.startListening({
  predicate: (action) => action.type === PENDING,
  effect: async (action, { getState, dispatch }) => {
    const { endpointName, originalArgs, queryCacheKey } = (action as unknown as Asked).meta.arg;
    const asked = () => (getState() as ApiState)[api.reducerPath].queries[queryCacheKey];
    if (!isKept(endpointName) || asked()?.data !== undefined) return;
    const key = keyOf({ endpointName, originalArgs, queryCacheKey }, getState());
    const kept = key === null ? undefined : await readAnswer(key);
    if (!kept) return;
    // An answer kept by an earlier version may lack fields: it is parsed like a new one.
    const value = await Promise.resolve(kept.data)
      .then<unknown>(readsKept[endpointName])
      .catch(() => undefined);
    if (value === undefined || asked()?.data !== undefined) return;
    const failed = asked()?.status === 'rejected';
    dispatch(api.util.upsertQueryEntries([{ endpointName, arg: originalArgs, value } as never]));
    // The query failed before storage answered: showing the kept answer would hide that, for example an ended session.
    // So it runs again.
    if (failed)
      dispatch(
        api.endpoints[endpointName].initiate(originalArgs as never, {
          ...{ subscribe: false, forceRefetch: true },
        }) as never,
      );
  },
});

/** Forgets who is signed in on this device: at the next start somebody must sign in. */
export const forgetWho = (): Promise<void> => dropAnswer(WHO);
