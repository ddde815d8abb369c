import { rowOf, type RepairRow } from '@kelmot/contract';
import { planSummaryOf, MINUTE, planBatches, word } from '@kelmot/core';
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { CallBanner } from '@/features/clocks/CallBanner';
import { callsDue, useCalls, type RepairCall } from '@/features/clocks/useCalls';
import { clockSeen } from '@/store/clock';
import { queued } from '@/store/outbox';
import { calledOut, putAway } from '@/store/view';
import { ID, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() }, usePathname: () => '/' }));

const plan = planOf();
const [batch] = planBatches(plan);
if (!batch) throw new Error('nothing is mixed');

/** A repair with one batch, mixed so many minutes ago. */
function rowWithBatch(minutesAgo: number, placed = false): RepairRow {
  const startedAt = new Date(Date.now() - minutesAgo * MINUTE).toISOString();
  const row = rowOf(viewOf(plan));
  const mix = {
    batchNo: batch?.no ?? 1,
    startedAt,
    placedAt: placed ? startedAt : null,
    binnedAt: null,
  };
  return {
    ...row,
    summary: planSummaryOf(plan),
    mixes: [{ ...row.mixes[0], ...mix }] as RepairRow['mixes'],
  };
}

const NONE: RepairCall[] = [];
/** The calls that the hook makes for these rows. */
function listening(rows: RepairRow[]) {
  const store = freshStore();
  const heard: string[] = [];
  const hook = renderHook(
    ({ list }: { list: RepairRow[] }) => useCalls(list, NONE, ({ say }) => heard.push(word(say))),
    {
      initialProps: { list: rows },
      wrapper: ({ children }: { children: ReactNode }) => (
        <Provider store={store}>{children}</Provider>
      ),
    },
  );
  return { heard, store, ...hook };
}
const goOn = (minutes: number) => act(() => void jest.advanceTimersByTime(minutes * MINUTE));

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('each moment of a batch is called once, and none from before', () => {
  const { heard } = listening([rowWithBatch(0)]);
  expect(heard).toEqual([]);
  goOn(batch.lifeMin * 0.75 + 1);
  expect(heard).toEqual([expect.stringMatching(/a quarter of the working life is left/)]);
  goOn(batch.lifeMin);
  expect(heard).toEqual([expect.anything(), expect.stringMatching(/Working life of batch/)]);
  goOn(600);
  expect(heard).toHaveLength(2);
  expect(listening([rowWithBatch(batch.lifeMin * 2)]).heard).toEqual([]);
});

test('a batch placed in time is not called, and one that starts later is', () => {
  const { heard, rerender } = listening([rowWithBatch(0)]);
  goOn(1);
  rerender({ list: [] });
  goOn(batch.lifeMin * 2);
  expect(heard).toEqual([]);
  rerender({ list: [rowWithBatch(0)] });
  goOn(batch.lifeMin * 0.8);
  expect(heard).toHaveLength(1);
});

test('a closed repair makes no calls', () => {
  const { heard } = listening([{ ...rowWithBatch(0), status: 'closed' }]);
  goOn(batch.lifeMin * 2);
  expect(heard).toEqual([]);
});

test('a corrected clock does not call what has not come', () => {
  const { heard, store } = listening([rowWithBatch(0)]);
  const device = Date.now();
  // The device's clock is one hour ahead: by the site's clock, the batch starts in one hour.
  act(
    () =>
      void store.dispatch(
        clockSeen({ server: device - 60 * MINUTE, asked: device, answered: device }),
      ),
  );
  goOn(batch.lifeMin);
  expect(heard).toEqual([]);
  goOn(60);
  expect(heard.length).toBeGreaterThan(0);
});

test('after sleep, each repair makes one call about its present state', () => {
  const rows = ['a', 'b', 'c'].map((id) => ({ ...rowWithBatch(0), id }));
  const calls = fc.array(
    fc.record({ at: fc.integer({ min: 0, max: 100 }), row: fc.constantFrom(...rows) }),
    { maxLength: 20 },
  );
  fc.assert(
    fc.property(calls, fc.nat(100), fc.nat(100), (list, p, q) => {
      const [since, now] = [Math.min(p, q), Math.max(p, q)];
      const sorted: RepairCall[] = list
        .map((c) => ({ ...c, urgent: false, say: { text: '', values: {} } }))
        .sort((x, y) => x.at - y.at);
      const due = callsDue(sorted, since, now);
      expect(new Set(due.map((c) => c.row.id)).size).toBe(due.length);
      expect(due.map((c) => c.at)).toEqual(due.map((c) => c.at).sort((x, y) => x - y));
      for (const call of due) {
        expect(call.at > since && call.at <= now).toBe(true);
        const later = sorted.filter(
          (c) => c.row.id === call.row.id && c.at > call.at && c.at <= now,
        );
        expect(later).toEqual([]);
      }
      expect(callsDue(sorted, now, now)).toEqual([]);
    }),
  );
});

test('the most urgent call is shown, one per repair; the others are one touch away', () => {
  const store = freshStore();
  render(
    <Provider store={store}>
      <CallBanner />
    </Provider>,
  );
  const call = (tag: string, text: string, urgent = true) =>
    act(() => void store.dispatch(calledOut({ repairId: tag, tag, text, urgent })));
  for (const tag of ['P-1', 'P-2', 'P-3', 'P-4']) call(tag, `${tag} calls`);
  call('P-5', 'P-5 is cured', false);
  const shown = () =>
    screen.getAllByTestId(/^called-P-\d$/).map((e) => String(e.props.testID).slice(7));
  expect(shown()).toEqual(['P-4']);
  call('P-3', 'P-3 is past its life');
  expect(shown()).toEqual(['P-3']);
  fireEvent.press(screen.getByText('4 more'));
  expect(shown()).toEqual(['P-3', 'P-4', 'P-2', 'P-1', 'P-5']);
  expect(screen.queryByText(/P-3 calls/)).toBeNull();
  expect(screen.getByText(/P-3 is past its life/)).toBeTruthy();
  fireEvent.press(screen.getByText('Fewer'));
  act(() => void store.dispatch(putAway('P-3')));
  expect(shown()).toEqual(['P-4']);
  for (const tag of ['P-4', 'P-2', 'P-1']) act(() => void store.dispatch(putAway(tag)));
  // The last call has no other call behind it.
  expect(shown()).toEqual(['P-5']);
  expect(screen.queryByText(/more/)).toBeNull();
});

test('an action on a repair dismisses its call, and no other', () => {
  const store = freshStore();
  for (const id of [ID, 'other'])
    store.dispatch(calledOut({ repairId: id, tag: id, text: 'calls', urgent: true }));
  const at = new Date().toISOString();
  const move = { type: 'station.move', station: 'prep', expect: 1 } as const;
  const command = { ...move, id: 'c', repairId: ID, at };
  store.dispatch(queued({ command, by: null, aheadMs: 0 }));
  expect(store.getState().view.called.map((c) => c.repairId)).toEqual(['other']);
});
