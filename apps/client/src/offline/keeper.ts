import { createListenerMiddleware, type Dispatch } from '@reduxjs/toolkit';
import { draftsRead, initialDrafts, type Drafts } from '@/store/drafts';
import { initialOutbox, outboxRead, type Outbox } from '@/store/outbox';
import { initialSettings, settingsRead, type Settings } from '@/store/settings';
import { keep, readKept } from './disk';

interface Kept {
  drafts: Drafts;
  outbox: Outbox;
  settings: Settings;
}
const KEYS: (keyof Kept)[] = ['drafts', 'outbox', 'settings'];

/** Writes drafts, outbox and settings to the device at every change: nothing typed is lost to a reload or a crash. */
export const keeper = createListenerMiddleware();

keeper.startListening({
  predicate: (action) =>
    KEYS.some((key) => action.type.startsWith(`${key}/`) && !action.type.endsWith('Read')),
  effect: async (action, { getState }) => {
    const key = KEYS.find((k) => action.type.startsWith(`${k}/`));
    const state = getState() as Kept;
    if (key) await keep(key, state[key]);
    if (action.type === 'settings/unitsChosen') await keep('drafts', state.drafts);
  },
});

/** Brings back what was kept, before anything is shown. */
export async function restore(dispatch: Dispatch): Promise<void> {
  const [drafts, outbox, settings] = await Promise.all(
    KEYS.map((key) => readKept<Kept[typeof key]>(key)),
  );
  dispatch(settingsRead({ ...initialSettings, ...(settings as Settings | undefined) }));
  dispatch(draftsRead({ ...initialDrafts, ...(drafts as Drafts | undefined) }));
  dispatch(outboxRead({ ...initialOutbox, ...(outbox as Outbox | undefined) }));
}
