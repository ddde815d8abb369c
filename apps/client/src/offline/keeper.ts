import { createListenerMiddleware, type Dispatch } from '@reduxjs/toolkit';
import { draftsRead, initialDrafts, type Drafts } from '@/store/drafts';
import { initialOutbox, outboxRead, type Outbox } from '@/store/outbox';
import { initialSettings, settingsRead, type Settings } from '@/store/settings';
import { initialTools, toolsRead, type Tools } from '@/store/tools';
import { keep, readKept } from './disk';

interface Kept {
  drafts: Drafts;
  outbox: Outbox;
  settings: Settings;
  tools: Tools;
}
const KEYS: (keyof Kept)[] = ['drafts', 'outbox', 'settings', 'tools'];

/** Writes drafts, outbox, settings and what is typed into the tools to the device at every change: nothing typed is lost to a reload or a crash. */
export const keeper = createListenerMiddleware();

keeper.startListening({
  predicate: (action) =>
    KEYS.some((key) => action.type.startsWith(`${key}/`) && !action.type.endsWith('Read')),
  effect: async (action, { getState }) => {
    const key = KEYS.find((k) => action.type.startsWith(`${k}/`));
    const state = getState() as Kept;
    if (key) await keep(key, state[key]);
    // A change of units rewrites bare numbers in what is typed.
    if (action.type === 'settings/unitsChosen')
      await Promise.all([keep('drafts', state.drafts), keep('tools', state.tools)]);
  },
});

/** Brings back what was kept, before anything is shown. */
export async function restore(dispatch: Dispatch): Promise<void> {
  const [drafts, outbox, settings, tools] = await Promise.all(
    KEYS.map((key) => readKept<Kept[typeof key]>(key)),
  );
  dispatch(settingsRead({ ...initialSettings, ...(settings as Settings | undefined) }));
  dispatch(draftsRead({ ...initialDrafts, ...(drafts as Drafts | undefined) }));
  dispatch(toolsRead({ ...initialTools, ...(tools as Tools | undefined) }));
  dispatch(outboxRead({ ...initialOutbox, ...(outbox as Outbox | undefined) }));
}
