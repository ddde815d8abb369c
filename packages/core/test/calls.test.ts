import fc from 'fast-check';
import { word } from '../src/message/word';
import { callsOf } from '../src/run/calls';
import type { SummaryRound, PlanSummary } from '../src/run/planSummary';
import { nextAction, type MixedBatch } from '../src/run/nextAction';
import { MINUTE } from '../src/units/clock';

const START = Date.parse('2026-11-24T08:00:00Z');
const at = (minutes: number) => START + minutes * MINUTE;

/** A film that a fill follows after 60 to 300 min, and a fill of two batches, 40 min of life, cured after 500. */
const film: SummaryRound = {
  id: 'film',
  name: { text: 'the film', values: {} },
  cardCode: 'R-100',
  milestones: [{ id: 'tackFree', minutes: 45 }],
  batches: [{ no: 1, lifeMin: 40, useMin: 34 }],
  needed: null,
  next: { least: 60, most: 300 },
  plannedAtMin: 0,
};
const fill: SummaryRound = {
  ...film,
  id: 'fill',
  name: { text: 'the fill', values: {} },
  milestones: [{ id: 'fullLoad', minutes: 500 }],
  batches: [
    { no: 2, lifeMin: 40, useMin: 34 },
    { no: 3, lifeMin: 40, useMin: 28 },
  ],
  needed: 'fullLoad',
  next: null,
};
const plan: PlanSummary = {
  rounds: [film, fill],
  mainRound: 'fill',
  needed: 'fullLoad',
  cureStepsMin: 0,
  startAt: START,
  deadline: at(700),
};
const mixed = (batchNo: number, from: number, placed: number | null): MixedBatch => ({
  batchNo,
  startedAt: at(from),
  placedAt: placed === null ? null : at(placed),
  binned: false,
});
const told = (mixes: MixedBatch[]) =>
  callsOf(plan, mixes, 'UTC').map((c) => [(c.at - START) / MINUTE, c.urgent, word(c.say)]);

test('a batch is called with a quarter of its working life left, and at its end', () => {
  expect(told([mixed(1, 0, null)])).toEqual([
    [30, true, 'Batch 1: a quarter of the working life is left. Place it by 08:34.'],
    [
      40,
      true,
      'Working life of batch 1 is over. Stop placing it. Spread it thin, then throw it away.',
    ],
  ]);
  // Where the time to place is over by then, nothing more of it is placed.
  expect(told([mixed(1, -200, -190), mixed(2, -100, -80), mixed(3, 0, null)])[0]).toEqual([
    30,
    true,
    'Batch 3: a quarter of the working life is left. Stop placing it.',
  ]);
});

test('a window is called when it opens, an hour before it closes, and when it is closed', () => {
  const calls = told([mixed(1, 0, 10)]);
  expect(calls.map(([when, urgent]) => [Math.round(Number(when)), urgent])).toEqual([
    [60, false],
    [240, true],
    [300, true],
  ]);
  expect(calls[0]?.[2]).toBe('the fill before 13:00, or abrade first.');
  expect(calls[1]?.[2]).toBe(calls[0]?.[2]);
  expect(calls[2]?.[2]).toBe('Abrade first. The window closed 13:00.');
});

test('a short window is called with a quarter of it left', () => {
  const short = { ...plan, rounds: [{ ...film, next: { least: 60, most: 100 } }, fill] };
  const when = callsOf(short, [mixed(1, 0, 10)], 'UTC').map((c) =>
    Math.round((c.at - START) / MINUTE),
  );
  expect(when).toEqual([60, 90, 100]);
});

test('the end of the cure is called once, when everything is cured', () => {
  const all = [mixed(1, 0, 10), mixed(2, 100, 120), mixed(3, 130, 150)];
  const [only, ...others] = told(all);
  expect(others).toEqual([]);
  expect(only?.slice(1)).toEqual([
    false,
    'Cured. Inspect and accept. Ready for full load since 18:30.',
  ]);
  expect(Number(only?.[0])).toBeCloseTo(630, 3);
});

test('a next batch is called before the last one sets, and not again', () => {
  const calls = told([mixed(1, -200, -190), mixed(2, 0, 5)]);
  expect(calls.map(([when, urgent]) => [when, urgent])).toEqual([[30, true]]);
  expect(calls[0]?.[2]).toMatch(/^Mix batch 3 before the last one sets/);
});

test('nothing is called before the first mix, nor for a discarded batch', () => {
  expect(told([])).toEqual([]);
  expect(told([{ ...mixed(1, 0, null), binned: true }])).toEqual([]);
  expect(told([mixed(9, 0, null)])).toEqual([]);
});

test('for any mixes, calls come in order, and each says the next action then', () => {
  const mixes = fc.uniqueArray(
    fc.record({
      batchNo: fc.constantFrom(1, 2, 3),
      from: fc.integer({ min: 0, max: 400 }),
      placing: fc.option(fc.integer({ min: 1, max: 60 })),
      binned: fc.boolean(),
    }),
    { selector: (x) => x.batchNo, minLength: 1 },
  );
  fc.assert(
    fc.property(mixes, (list) => {
      const all = list.map(({ batchNo, from, placing, binned }) => ({
        ...mixed(batchNo, from, placing === null ? null : from + placing),
        binned,
      }));
      const calls = callsOf(plan, all, 'UTC');
      const first = Math.min(...all.map((x) => x.startedAt));
      calls.forEach((call, i) => {
        expect(call.at).toBeGreaterThan(first);
        expect(call.at).toBeGreaterThanOrEqual(calls[i - 1]?.at ?? 0);
        const act = nextAction(plan, all, { now: call.at, zone: 'UTC' });
        if (act?.phase !== 'place')
          expect(word(call.say)).toBe(act && `${word(act.say)} ${word(act.second)}`);
      });
    }),
  );
});
