import type { Command } from '@kelmot/contract';
import type { SurveyDraft } from '@kelmot/core';
import fc from 'fast-check';
import { changesOf, withEntries } from '@/store/entries';
import { entriesReceived, restore } from '@/store/persister';
import { chooseUnits } from '@/features/settings/chooseUnits';
import { draftDropped, draftPut, textsDropped, textTyped } from '@/store/drafts';
import { failed, queued, sent } from '@/store/outbox';
import { initialSettings, pinned, themeChosen, weightMoved, weightsReset } from '@/store/settings';
import { makeStore, type AppStore } from '@/store/store';
import { toolTyped } from '@/store/tools';
import { workingShown } from '@/store/view';
import { entries, pruned } from './memoryDisk';

jest.mock('@/offline/disk', () => jest.requireActual<object>('./memoryDisk'));

const command: Command = {
  type: 'check.set',
  ...{
    id: '01900000-0000-7000-8000-000000000010',
    repairId: '01900000-0000-7000-8000-000000000001',
  },
  ...{ at: '2026-11-24T08:00:00Z', stepId: 'isolate', batchNo: null, done: true, note: '' },
};
const draft = {
  ...{ family: 'F2', intent: 'lasting', startAt: '', shapes: [], asset: {} },
  texts: { 'asset.tag': 'P-1' },
} as unknown as SurveyDraft;
const typed = (of: Command) => ({
  command: of,
  by: { id: 'ida', name: 'Ida' },
  aheadMs: 0,
});
const settle = () => new Promise((resolve) => setTimeout(resolve));
const KEPT = ['drafts', 'outbox', 'settings', 'tools'] as const;

let store: AppStore;
beforeEach(() => {
  entries.clear();
  // No answer ever comes: queued commands stay, and nothing is sent again during the test.
  globalThis.fetch = () => new Promise<never>(() => {});
  store = makeStore();
});

/** The same device after a reload: a new store with the kept data. */
async function reloaded(): Promise<AppStore> {
  await settle();
  const again = makeStore();
  await restore(again.dispatch);
  return again;
}

test('everything typed or chosen is restored after a reload', async () => {
  store.dispatch(draftPut({ key: 'new', draft }));
  store.dispatch(textTyped({ key: 'aG', text: '120' }));
  store.dispatch(themeChosen('night'));
  store.dispatch(weightMoved({ intent: 'lasting', weights: { year: 0.4, ready: 0.6 } }));
  store.dispatch(toolTyped({ tool: 'dew-point', typed: { airC: '21' } as never }));
  store.dispatch(queued(typed(command)));
  const again = await reloaded();
  for (const key of KEPT) expect(again.getState()[key]).toEqual(store.getState()[key]);
  expect(again.getState().drafts).toEqual({
    ...{ surveys: { new: draft }, touched: { new: true }, bases: {} },
    texts: { aG: '120' },
  });
  expect(again.getState().outbox.queue.map((w) => w.command)).toEqual([command]);
  expect(again.getState().settings.theme).toBe('night');
});

test('pinned repairs stay pinned, and their answers stay at any age; others do not', async () => {
  const { id } = command;
  store.dispatch(pinned({ id, on: true }));
  store.dispatch(pinned({ id: 'let-go', on: true }));
  store.dispatch(pinned({ id: 'let-go', on: false }));
  expect((await reloaded()).getState().settings.pinned).toEqual({ [id]: true });
  const keys = [`ida repair("${id}")`, 'ida repair("let-go")', 'ida cards(undefined)'];
  expect(keys.filter((key) => pruned.stays?.(key))).toEqual([keys[0]]);
});

test('what was removed stays removed after a reload', async () => {
  store.dispatch(draftPut({ key: 'new', draft }));
  store.dispatch(textTyped({ key: 'aG', text: '120' }));
  store.dispatch(weightMoved({ intent: 'lasting', weights: { year: 1 } }));
  store.dispatch(draftDropped('new'));
  store.dispatch(textsDropped(['aG', 'bG']));
  store.dispatch(weightsReset('lasting'));
  const again = (await reloaded()).getState();
  expect([again.drafts, again.settings.weights]).toEqual([
    { surveys: {}, touched: {}, bases: {}, texts: {} },
    {},
  ]);
});

test('a change of units rewrites typed values, and that is stored', async () => {
  store.dispatch(toolTyped({ tool: 'dew-point', typed: { airC: '21' } as never }));
  store.dispatch(draftPut({ key: 'new', draft }));
  await settle();
  store.dispatch(chooseUnits('us'));
  const again = (await reloaded()).getState();
  expect(again.settings.units).toBe('us');
  expect(again.tools).toEqual(store.getState().tools);
  expect(again.tools.typed['dew-point']).not.toEqual({ airC: '21' });
});

test('a new device starts with the defaults', async () => {
  const fresh = await reloaded();
  for (const key of KEPT) expect(fresh.getState()[key]).toEqual(makeStore().getState()[key]);
});

test('what an earlier version stored whole is split once, without loss', async () => {
  const second = { ...command, id: `${command.id.slice(0, -1)}1` };
  const waits = (of: Command) => ({ command: of, refused: null, current: null });
  entries.set('outbox', { queue: [waits(second), waits(command)], kept: [] });
  entries.set('settings', { theme: 'light' });
  entries.set('drafts', { surveys: { new: draft }, texts: { 'r/1/aG': '120' } });
  const old = (await reloaded()).getState();
  expect(old.outbox.queue.map((w) => [w.command, w.by, w.tries])).toEqual([
    [second, null, 0],
    [command, null, 0],
  ]);
  expect(old.settings).toEqual({ ...initialSettings, theme: 'light' });
  expect(old.drafts).toEqual({
    ...{ surveys: { new: draft }, touched: {}, bases: {} },
    texts: { 'r/1/aG': '120' },
  });
  expect(KEPT.filter((key) => entries.has(key))).toEqual([]);
  expect((await reloaded()).getState().outbox).toEqual(old.outbox);
});

test('state of the screen only is not stored, and restoring writes nothing', async () => {
  store.dispatch(workingShown(null));
  await reloaded();
  expect([...entries.keys()]).toEqual([]);
});

test('two tabs write in parallel without overwriting each other', async () => {
  const other = makeStore();
  store.dispatch(draftPut({ key: 'new', draft }));
  other.dispatch(draftPut({ key: 'r1', draft }));
  other.dispatch(textTyped({ key: 'bG', text: '40' }));
  store.dispatch(textTyped({ key: 'aG', text: '120' }));
  store.dispatch(queued(typed(command)));
  other.dispatch(queued(typed({ ...command, id: 'other' })));
  const again = (await reloaded()).getState();
  expect(Object.keys(again.drafts.surveys).sort()).toEqual(['new', 'r1']);
  expect(again.drafts.texts).toEqual({ aG: '120', bG: '40' });
  expect(again.outbox.queue.map((w) => w.id).sort()).toEqual([command.id, 'other'].sort());
});

test('what another tab sends is applied here and not written again', async () => {
  store.dispatch(draftPut({ key: 'mine', draft }));
  await settle();
  entries.clear();
  const waiting = { id: 'x', seq: 7, ...typed(command), tries: 0, refused: null, current: null };
  store.dispatch(
    entriesReceived([
      ['drafts/surveys/theirs', draft],
      ['drafts/texts/a/b', '12'],
      ['outbox/queue/x', waiting],
      ['settings/theme/', 'night'],
      ['nowhere/at/all', 1],
    ]),
  );
  const { drafts, outbox, settings } = store.getState();
  expect(Object.keys(drafts.surveys)).toEqual(['mine', 'theirs']);
  expect([drafts.texts, settings.theme, outbox.queue]).toEqual([
    { 'a/b': '12' },
    'night',
    [waiting],
  ]);
  store.dispatch(entriesReceived([['outbox/queue/x', undefined]]));
  expect(store.getState().outbox.queue).toEqual([]);
  await settle();
  expect(entries.size).toBe(0);
});

test("after any sequence of actions, the device stores exactly the screen's state", () => {
  const keys = ['new', 'r1', 'r/2'];
  const commands = fc.oneof(
    fc.constantFrom(...keys).map((key) => draftPut({ key, draft })),
    fc.constantFrom(...keys).map((key) => draftDropped(key)),
    fc.tuple(fc.constantFrom(...keys), fc.string()).map(([key, text]) => textTyped({ key, text })),
    fc.constantFrom(...keys).map((key) => textsDropped([key])),
    fc.constantFrom(...keys).map((id) => queued(typed({ ...command, id }))),
    fc.constantFrom(...keys).map((id) => sent({ id })),
    fc.constantFrom(...keys).map((id) => failed(id)),
    fc.constantFrom('night' as const, 'light' as const).map((theme) => themeChosen(theme)),
  );
  fc.assert(
    fc.property(fc.array(commands, { maxLength: 12 }), (actions) => {
      const before = makeStore().getState();
      const there = makeStore();
      const disk = new Map<string, unknown>();
      for (const action of actions) {
        const from = there.getState();
        there.dispatch(action);
        for (const [key, value] of changesOf(from, there.getState()))
          if (value === undefined) disk.delete(key);
          else disk.set(key, value);
      }
      const read = withEntries(before, [...disk]);
      for (const key of KEPT) expect(read[key]).toEqual(there.getState()[key]);
    }),
  );
});
