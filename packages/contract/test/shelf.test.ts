import fc from 'fast-check';
import { rowOf, shelfAfter, type ShelfLot, type StockMove } from '../src/index';
import { AT, ida, ID, met, planOf, viewOf } from './view';

const lot = (over: Partial<ShelfLot> = {}): ShelfLot => ({
  ...{ id: ID, cardCode: 'K', packId: 'p', lot: 'L-1', expiresOn: '2027-03-01', count: 3 },
  ...over,
});
const move = (over: Partial<StockMove> = {}): StockMove => ({
  ...{ id: ID, at: AT, cardCode: 'K', packId: 'p', lot: 'L-1', delta: -1 },
  ...{ reason: 'drawn', repairId: null, ...over },
});

test('a taken pack is gone at once; the last one removes its lot', () => {
  expect(shelfAfter([lot()], [move()])[0]?.count).toBe(2);
  expect(shelfAfter([lot()], [move({ delta: -3 })])).toEqual([]);
  expect(shelfAfter([lot()], [move({ delta: -4 })])).toEqual([]);
  expect(shelfAfter([lot()], [])).toEqual([lot()]);
});

test('an added lot is sorted by its expiry date; an unknown lot without a date is not added', () => {
  const came = move({ lot: 'L-2', delta: 5, reason: 'received', expiresOn: '2027-01-01' });
  expect(shelfAfter([lot()], [came]).map((l) => [l.lot, l.count])).toEqual([
    ['L-2', 5],
    ['L-1', 3],
  ]);
  expect(shelfAfter([lot()], [move({ lot: 'L-3' })])).toEqual([lot()]);
  expect(shelfAfter([], [came, { ...came, delta: -2 }])[0]?.count).toBe(3);
});

test('the same lot of another pack is another lot', () => {
  const both = [lot(), lot({ packId: 'q', count: 7 })];
  expect(shelfAfter(both, [move({ packId: 'q' })]).map((l) => l.count)).toEqual([3, 6]);
});

test('packs are neither created nor lost: the rest is the sum of all moves', () => {
  const delta = fc.integer({ min: -2, max: 9 }).filter((d) => d !== 0);
  fc.assert(
    fc.property(fc.array(delta, { maxLength: 8 }), (deltas) => {
      const start = [lot({ count: 20 })];
      const moves = deltas.map((d) => move({ delta: d }));
      const left = shelfAfter(start, moves).reduce((n, l) => n + l.count, 0);
      expect(left).toBe(20 + deltas.reduce((n, d) => n + d, 0));
      expect(start[0]?.count).toBe(20);
    }),
  );
});

const plan = planOf();
test('a list row is made as the server makes it: card, stop, next look', () => {
  const fresh = viewOf(plan);
  expect(rowOf(fresh)).toMatchObject({
    ...{ id: ID, tag: 'P-1', station: 'prep', cardCode: plan.card.code, stop: null, dueOn: null },
    mixes: [],
  });
  expect(rowOf(fresh).summary).not.toBeNull();
  expect(Object.keys(rowOf(fresh))).not.toContain('survey');
  expect([
    rowOf({ ...fresh, plan: null }).summary,
    rowOf({ ...fresh, plan: null }).cardCode,
  ]).toEqual([null, null]);
  const review = (id: string, dueOn: string, doneAt: string | null) =>
    ({ id, kind: 'look', dueOn, doneAt }) as const;
  const reviews = [
    review('a', '2027-02-01', null),
    review('b', '2026-12-01', AT),
    review('c', '2027-01-15', null),
  ];
  expect(rowOf({ ...fresh, reviews }).dueOn).toBe('2027-01-15');
});

test('the last failed air reading stops a row, and a later passed one releases it', () => {
  const gate = (passed: boolean) => ({
    ...{ id: ID, stepId: 'gate', passed, say: ['Stop.', {}] as never, takenAt: AT, ...ida },
    values: { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 20 } as const,
  });
  const view = met(viewOf(plan), ['prep']);
  const other = view.readings[0];
  const stopped = { ...view, readings: [gate(false), ...(other ? [other] : [])] };
  expect(rowOf(stopped).stop).toEqual(['Stop.', {}]);
  expect(rowOf({ ...view, readings: [gate(false), gate(true)] }).stop).toBeNull();
});
