import { createAction, createListenerMiddleware, type Dispatch } from '@reduxjs/toolkit';
import { pruneAnswers, readEntries, writeEntries, type Entry } from '../offline/disk';
import { changesOf, entriesOfWhole, pinnedId, SLICES, type KeptState } from './entries';

/** Entries that were read from the device, or written by another tab. */
export const entriesReceived = createAction<readonly Entry[]>('kept/entriesReceived');

/** The channel to this device's other tabs, once it is open. */
let others: BroadcastChannel | null = null;

/**
 * Writes drafts, outbox, settings and tool inputs to the device at every change, entry by entry, and tells the other
 * tabs: nothing typed is lost to a reload, a crash or a second tab.
 */
export const persister = createListenerMiddleware();

persister.startListening({
  predicate: (action, now, before) =>
    !entriesReceived.match(action) &&
    SLICES.some((slice) => (now as KeptState)[slice] !== (before as KeptState)[slice]),
  effect: async (_, { getState, getOriginalState }) => {
    const changes = changesOf(getOriginalState() as KeptState, getState() as KeptState);
    if (changes.length === 0) return;
    await writeEntries(changes);
    others?.postMessage(changes);
  },
});

/** From now on this tab sends its entries to the other tabs and applies theirs. */
export function listenToOtherTabs(dispatch: Dispatch): void {
  if (typeof BroadcastChannel === 'undefined') return;
  others = new BroadcastChannel('kelmot-entries');
  others.onmessage = ({ data }) => dispatch(entriesReceived(data as Entry[]));
}

/** Splits what an earlier version stored whole under the name of its slice. */
async function takenApart(kept: readonly Entry[]): Promise<Entry[]> {
  const whole = SLICES.flatMap((slice) => {
    const [, value] = kept.find(([key]) => key === slice) ?? [];
    return value ? [...entriesOfWhole(slice, value), [slice, undefined] as const] : [];
  });
  if (whole.length > 0) await writeEntries(whole);
  return whole;
}

/** Restores the kept state, before anything is shown. */
export async function restore(dispatch: Dispatch): Promise<void> {
  const kept = await readEntries();
  dispatch(entriesReceived([...kept, ...(await takenApart(kept))]));
  const pinned = kept.flatMap(([key]) => pinnedId(key) ?? []);
  const stays = (key: string) => pinned.some((id) => key.includes(id));
  void pruneAnswers(stays).catch(() => undefined);
}
