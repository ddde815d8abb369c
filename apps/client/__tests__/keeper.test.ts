import type { Command } from '@kelmot/contract';
import { restore } from '@/offline/keeper';
import { draftDropped, draftPut, textsDropped, textTyped } from '@/store/drafts';
import { queued } from '@/store/outbox';
import { themeChosen, unitsChosen, weightMoved, weightsReset } from '@/store/settings';
import { makeStore, type AppStore } from '@/store/store';
import { toolTyped } from '@/store/tools';
import { workingShown } from '@/store/view';

const mockDisk = new Map<string, unknown>();
jest.mock('@/offline/disk', () => ({
  keep: (key: string, value: unknown) => Promise.resolve(void mockDisk.set(key, value)),
  readKept: (key: string) => Promise.resolve(mockDisk.get(key)),
}));

const command: Command = {
  type: 'check.set',
  ...{
    id: '01900000-0000-7000-8000-000000000010',
    repairId: '01900000-0000-7000-8000-000000000001',
  },
  ...{ at: '2026-11-24T08:00:00Z', stepId: 'isolate', batchNo: null, done: true, note: '' },
};
const draft = { family: 'F2', texts: { 'asset.tag': 'P-1' } } as never;
const settle = () => new Promise((resolve) => setTimeout(resolve));
const KEPT = ['drafts', 'outbox', 'settings', 'tools'] as const;

let store: AppStore;
beforeEach(() => {
  mockDisk.clear();
  // No answer ever comes: what waits stays, and nothing is tried again beside the test.
  globalThis.fetch = () => new Promise<never>(() => {});
  store = makeStore();
});

/** The same device after a reload: a new store, with what was kept read into it. */
async function reloaded(): Promise<AppStore> {
  await settle();
  const again = makeStore();
  await restore(again.dispatch);
  return again;
}

test('everything that is typed or chosen is there after a reload, as it was', async () => {
  store.dispatch(draftPut({ key: 'new', draft }));
  store.dispatch(textTyped({ key: 'aG', text: '120' }));
  store.dispatch(themeChosen('night'));
  store.dispatch(weightMoved({ intent: 'lasting', weights: { year: 0.4, ready: 0.6 } }));
  store.dispatch(toolTyped({ tool: 'dew-point', typed: { airC: '21' } as never }));
  store.dispatch(queued(command));
  const again = await reloaded();
  for (const key of KEPT) expect(again.getState()[key]).toEqual(store.getState()[key]);
  expect(again.getState().drafts).toEqual({ surveys: { new: draft }, texts: { aG: '120' } });
  expect(again.getState().outbox.queue.map((w) => w.command)).toEqual([command]);
  expect(again.getState().settings.theme).toBe('night');
});

test('what was dropped stays dropped after a reload', async () => {
  store.dispatch(draftPut({ key: 'new', draft }));
  store.dispatch(textTyped({ key: 'aG', text: '120' }));
  store.dispatch(weightMoved({ intent: 'lasting', weights: { year: 1 } }));
  store.dispatch(draftDropped('new'));
  store.dispatch(textsDropped(['aG', 'bG']));
  store.dispatch(weightsReset('lasting'));
  const again = (await reloaded()).getState();
  expect([again.drafts, again.settings.weights]).toEqual([{ surveys: {}, texts: {} }, {}]);
});

test('other units rewrite what is typed, and that is kept too', async () => {
  store.dispatch(toolTyped({ tool: 'dew-point', typed: { airC: '21' } as never }));
  await settle();
  mockDisk.delete('tools');
  mockDisk.delete('drafts');
  store.dispatch(unitsChosen('us'));
  const again = (await reloaded()).getState();
  expect(again.settings.units).toBe('us');
  expect(again.tools).toEqual(store.getState().tools);
  expect(mockDisk.has('drafts')).toBe(true);
});

test('a device where nothing was kept, or what an earlier version kept, begins with the usual', async () => {
  const fresh = await reloaded();
  for (const key of KEPT) expect(fresh.getState()[key]).toEqual(makeStore().getState()[key]);
  mockDisk.set('outbox', { queue: [] });
  mockDisk.set('settings', { theme: 'light' });
  const old = (await reloaded()).getState();
  expect(old.outbox).toEqual({ queue: [], kept: [] });
  expect(old.settings).toEqual({ theme: 'light', units: 'metric', weights: {} });
});

test('what is only open on the screen is not kept, and reading back writes nothing', async () => {
  store.dispatch(workingShown(null));
  await reloaded();
  expect([...mockDisk.keys()]).toEqual([]);
});
