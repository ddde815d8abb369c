import { createAction, createListenerMiddleware, type Dispatch } from '@reduxjs/toolkit';
import { pruneAnswers, readEntries, writeEntries, type Entry } from '../offline/disk';
import { changesOf, entriesOfWhole, pinnedId, SLICES, type KeptState } from './entries';

/** Entries that were read from the device, or that another tab has written there. */
export const entriesCame = createAction<readonly Entry[]>('kept/entriesCame');

/** The other tabs of this device, once this one listens to them. */
let others: BroadcastChannel | null = null;

/**
 * Writes drafts, outbox, settings and what is typed into the tools to the device at every change, entry by entry, and
 * tells the other tabs: nothing typed is lost to a reload, a crash or a second tab.
 */
export const keeper = createListenerMiddleware();

keeper.startListening({
  predicate: (action, now, before) =>
    !entriesCame.match(action) &&
    SLICES.some((slice) => (now as KeptState)[slice] !== (before as KeptState)[slice]),
  effect: async (_, { getState, getOriginalState }) => {
    const changes = changesOf(getOriginalState() as KeptState, getState() as KeptState);
    if (changes.length === 0) return;
    await writeEntries(changes);
    others?.postMessage(changes);
  },
});

/** From now on other tabs are told what this one writes, and what they write is laid over its state. */
export function listenToOthers(dispatch: Dispatch): void {
  if (typeof BroadcastChannel === 'undefined') return;
  others = new BroadcastChannel('kelmot-entries');
  others.onmessage = ({ data }) => dispatch(entriesCame(data as Entry[]));
}

/** Takes apart what an earlier version kept whole under the name of its slice. */
async function takenApart(kept: readonly Entry[]): Promise<Entry[]> {
  const whole = SLICES.flatMap((slice) => {
    const [, value] = kept.find(([key]) => key === slice) ?? [];
    return value ? [...entriesOfWhole(slice, value), [slice, undefined] as const] : [];
  });
  if (whole.length > 0) await writeEntries(whole);
  return whole;
}

/** Brings back what was kept, before anything is shown. */
export async function restore(dispatch: Dispatch): Promise<void> {
  const kept = await readEntries();
  dispatch(entriesCame([...kept, ...(await takenApart(kept))]));
  const pinned = kept.flatMap(([key]) => pinnedId(key) ?? []);
  const stays = (key: string) => pinned.some((id) => key.includes(id));
  void pruneAnswers(stays).catch(() => undefined);
}
