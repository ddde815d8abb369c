import { rowOf, type RepairRow, type RepairView } from '@kelmot/contract';
import { MINUTE, planBatches } from '@kelmot/core';
import { act, render, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { IDA, planOf, viewOf } from '../../../packages/contract/test/view';
import { Prefetch } from '@/features/frame/Prefetch';
import { laterChunk } from '@/shared/laterChunk/useLaterChunk';
import { benchRowsOf, placeOf, useRows, withOutbox } from '@/shared/repairs/useBenchRows';
import { pathOf } from '@/shared/repairs/openRepair';
import { api, useRepairsInfiniteQuery } from '@/store/api';
import { pinned } from '@/store/settings';
import { signalSeen } from '@/store/view';
import { freshStore } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));
jest.mock('@/store/api', () => ({
  ...jest.requireActual<object>('@/store/api'),
  useRepairsInfiniteQuery: jest.fn(),
}));

const plan = planOf();
const [batch] = planBatches(plan);
if (!batch) throw new Error('nothing is mixed');
const NOW = Date.now();
const ago = (minutes: number) => new Date(NOW - minutes * MINUTE).toISOString();

/** A repair by its tag, mixed so many minutes ago; null: not begun. */
function viewBy(tag: string, mixedAgo: number | null = null): RepairView {
  const mix = {
    ...{ id: `${tag}-mix`, batchNo: batch?.no ?? 1, aG: 1, bG: 1, deviationPct: 0, lot: '' },
    ...{ inTolerance: true, startedAt: ago(mixedAgo ?? 0), placedAt: null, binnedAt: null },
    ...{ by: 'Ida', byId: 'ida', receivedAt: null },
  };
  return { ...viewOf(plan), id: tag, tag, mixes: mixedAgo === null ? [] : [mix] };
}
const rowBy = (tag: string, mixedAgo: number | null = null) => rowOf(viewBy(tag, mixedAgo));
const tags = (rows: readonly RepairRow[]) => rows.map((row) => row.tag);

/** Sets the lists that the fake server returns, by the status that is asked for. */
function serverHas(lists: Partial<Record<string, RepairRow[]>>) {
  jest.mocked(useRepairsInfiniteQuery).mockImplementation(((
    { status }: { status: string },
    { skip = false } = {},
  ) => ({
    data: skip ? undefined : { pages: [{ rows: lists[status] ?? [] }], pageParams: [] },
  })) as never);
}

describe('a list with the outbox applied', () => {
  const query = { status: 'open', q: '' } as const;
  test('is the server’s list while the outbox is empty', () => {
    const rows = [rowBy('A'), rowBy('B')];
    expect(withOutbox(rows, [], query)).toBe(rows);
  });
  test('has a new repair at once, and a changed one once, as changed', () => {
    const own = { ...viewBy('B'), title: 'changed here' };
    const rows = withOutbox([rowBy('A'), rowBy('B')], [viewBy('N'), own].map(rowOf), query);
    expect(tags(rows)).toEqual(['N', 'B', 'A']);
    expect(rows[1]?.title).toBe('changed here');
  });
  test('leaves out what was closed here, and what does not match the search', () => {
    const closed: RepairView = { ...viewBy('B'), status: 'closed' };
    expect(tags(withOutbox([rowBy('A'), rowBy('B')], [rowOf(closed)], query))).toEqual(['A']);
    const found = withOutbox([], [viewBy('B'), viewBy('N-9')].map(rowOf), {
      status: 'all',
      q: ' n-9 ',
    });
    expect(tags(found)).toEqual(['N-9']);
  });
  test('keeps the server’s sort order, with a new repair first', () => {
    const own = { ...viewBy('B'), title: 'changed here' };
    const sorted = { ...query, sort: 'tag' } as const;
    const rows = withOutbox([rowBy('A'), rowBy('B')], [viewBy('N'), own].map(rowOf), sorted);
    expect(tags(rows)).toEqual(['N', 'A', 'B']);
    expect(rows[2]?.title).toBe('changed here');
  });
});

test('running, stopped and waiting repairs are distinguished', () => {
  const stop = { text: 'Too damp.', values: {} };
  const acts = benchRowsOf([rowBy('T', 5), { ...rowBy('S'), stop }, rowBy('W')], NOW, 'UTC');
  expect(acts.map(placeOf)).toEqual(['running', 'stopped', 'waiting']);
  expect(acts.map((a) => a.say)).toEqual([expect.stringMatching(/place/i), 'stop', 'Prep']);
  expect(acts[0]?.strips).toHaveLength(1);
});

test('a closed repair says so, and its clock has stopped', () => {
  const [closed] = benchRowsOf([{ ...rowBy('C', 5), status: 'closed' }], NOW, 'UTC');
  expect([closed?.act, closed?.say]).toEqual([null, 'closed']);
});

test('a repair opens at its run sheet on a phone, at its station on a wide screen or without a plan', () => {
  const row = rowBy('A');
  expect(pathOf(row, 'phone')).toBe('/repair/A/run');
  expect(pathOf(row, 'wide')).toBe('/repair/A/prep');
  expect(pathOf({ ...row, status: 'closed' }, 'phone')).toBe('/repair/A/prep');
  expect(pathOf({ ...row, summary: null }, 'phone')).toBe('/repair/A/prep');
  expect(pathOf({ ...row, station: 'match' }, 'phone')).toBe('/repair/A/match');
});

describe('repairs pinned to this device', () => {
  /** A device that has these repairs, with some of them pinned. */
  async function device(views: RepairView[], pins: string[]) {
    const store = freshStore();
    await act(async () => {
      store.dispatch(
        api.util.upsertQueryEntries([{ endpointName: 'me', arg: undefined, value: IDA }]),
      );
      for (const view of views)
        store.dispatch(
          api.util.upsertQueryEntries([{ endpointName: 'repair', arg: view.id, value: view }]),
        );
      for (const id of pins) store.dispatch(pinned({ id, on: true }));
    });
    return store;
  }
  const listed = (store: Awaited<ReturnType<typeof device>>, q = '') =>
    renderHook(() => useRows({ status: 'pinned', q }), {
      wrapper: ({ children }: { children: ReactNode }) => (
        <Provider store={store}>{children}</Provider>
      ),
    }).result.current.rows;

  beforeAll(() => laterChunk());
  beforeEach(() => serverHas({ all: [rowBy('NOT')], open: [rowBy('NOT')] }));

  test('are a separate list, closed or open, without a request', async () => {
    const closed: RepairView = { ...viewBy('C'), status: 'closed' };
    const store = await device([closed, viewBy('O'), viewBy('X')], ['C', 'O']);
    expect(tags(listed(store))).toEqual(['C', 'O']);
    const [, options] = jest.mocked(useRepairsInfiniteQuery).mock.calls.at(-1) ?? [];
    expect(options).toMatchObject({ skip: true });
  });
  test('are searched like any list', async () => {
    const store = await device([viewBy('C-1'), viewBy('O-2')], ['C-1', 'O-2']);
    expect(tags(listed(store, 'o-2'))).toEqual(['O-2']);
    expect(tags(listed(store, 'nothing like that'))).toEqual([]);
  });
  test('are missing until this device has loaded them', async () => {
    expect(tags(listed(await device([], ['GONE'])))).toEqual([]);
  });
});

describe('prefetching for work without signal', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  /** The ids of the repairs that are fetched once the screen is idle, in order. */
  async function fetched(pins: string[], signal = true): Promise<string[]> {
    const store = freshStore();
    const asked: string[] = [];
    const initiate = jest.spyOn(api.endpoints.repair, 'initiate').mockImplementation(((
      id: string,
    ) => {
      asked.push(id);
      return () => Promise.resolve({ isSuccess: true });
    }) as never);
    for (const name of ['cards', 'shelf', 'forecast', 'assets'] as const)
      jest
        .spyOn(api.endpoints[name], 'initiate')
        .mockImplementation((() => () => Promise.resolve({})) as never);
    for (const id of pins) store.dispatch(pinned({ id, on: true }));
    store.dispatch(signalSeen(signal));
    render(
      <Provider store={store}>
        <Prefetch />
      </Provider>,
    );
    await act(async () => {
      jest.advanceTimersByTime(2000);
      for (let turn = 0; turn < 200; turn += 1) await Promise.resolve();
    });
    initiate.mockRestore();
    return asked;
  }
  const due = (tag: string, inDays: number): RepairRow => ({
    ...rowBy(tag),
    ...{ status: 'closed', dueOn: new Date(NOW + inDays * 24 * 60 * MINUTE).toISOString() },
  });

  test('loads open repairs and those due for a look now, not later', async () => {
    serverHas({ open: [rowBy('A'), rowBy('B')], closed: [due('D', 0), due('LATER', 30)] });
    expect(await fetched([])).toEqual(['A', 'B', 'D']);
  });
  test('loads pinned repairs first, listed or not, outside the limit', async () => {
    const many = Array.from({ length: 45 }, (_, i) => rowBy(`O${i}`));
    serverHas({ open: many });
    const asked = await fetched(['FAR', 'O44']);
    expect(asked.slice(0, 3)).toEqual(['FAR', 'O44', 'O0']);
    expect(asked).toHaveLength(42);
  });
  test('loads nothing without signal', async () => {
    serverHas({ open: [rowBy('A')] });
    expect(await fetched(['A'], false)).toEqual([]);
  });
});
