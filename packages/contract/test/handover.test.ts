import { tasksOf, m, MINUTE, planBatches, word } from '@kelmot/core';
import { closingWindows, handoverOf, type Handover, type RepairView } from '../src';
import { AT, ID, ida, met, planOf, viewOf } from './view';

const plan = planOf();
const [batch] = planBatches(plan);
if (!batch) throw new Error('nothing is mixed');
const now = Date.parse(AT);
const told = (view: RepairView, at = now): { [K in keyof Handover]: string[] } => {
  const { stands, wet, closes, again, watch } = handoverOf(view, at, 'UTC');
  const said = (lines: typeof stands) => lines.map((line) => word(line));
  return {
    ...{ stands: said(stands), wet: said(wet), closes: said(closes) },
    ...{ again: said(again), watch: said(watch) },
  };
};
const at = (minutes: number) => new Date(now + minutes * MINUTE).toISOString();
const mixed = (view: RepairView, placedAt: string | null): RepairView => ({
  ...view,
  mixes: [
    {
      ...{ id: 'mix', batchNo: batch.no, aG: 1, bG: 1, deviationPct: 0, inTolerance: true },
      ...{ lot: 'L1', startedAt: AT, placedAt, binnedAt: null, ...ida },
    },
  ],
});

test('a job that has not begun is reported so, and nothing is made up', () => {
  const all = tasksOf(plan).length;
  expect(told(viewOf(plan))).toEqual({
    stands: [`0 of ${all} done. Next, at Prep: Isolate and make safe.`],
    ...{ wet: [], closes: [], again: [], watch: [] },
  });
});

test('without a plan it says what is missing', () => {
  const { stands } = told({ ...viewOf(plan), plan: null });
  expect(stands).toEqual(['It has no plan yet: choose a system at Match.']);
});

test('the last work, its time and person come first', () => {
  const checks = [
    { id: 'c', stepId: 'isolate', batchNo: null, done: true, note: '', at: at(-30), ...ida },
  ];
  const { stands } = told({ ...viewOf(plan), checks });
  expect(stands[0]).toBe('Last done: Isolate and make safe, 08:30, Ida.');
  expect(stands[1]).toMatch(/^1 of \d+ done\. Next, at Prep: /);
});

test('an open batch is reported with its clock, and a late one is stopped', () => {
  const view = mixed(met(viewOf(plan), ['prep']), null);
  expect(told(view).wet[0]).toMatch(/^Place it by \d\d:\d\d\.$/);
  const late = told(view, now + (batch.lifeMin + 1) * MINUTE);
  expect(late.wet[0]).toMatch(/^Stop\. Working life is over/);
});

test('a closing window is reported with its clock; a closed one as work to repeat', () => {
  const view = met(viewOf(plan), ['prep']);
  const [first] = closingWindows(view, now);
  if (!first) throw new Error('no window runs');
  const before = told(view);
  expect(before.closes[0]).toContain(word(first.to.title));
  expect(before.again).toEqual([]);
  // Two rounds with the same wait and name are told once.
  const both = { ...plan, links: [...plan.links, ...plan.links] };
  const twice = { ...view, plan: { id: ID, number: 1, body: both } };
  expect(closingWindows(twice, now).length).toBeGreaterThan(closingWindows(view, now).length);
  expect(told(twice).closes).toEqual(before.closes);
  const after = told(view, first.at + 5 * MINUTE);
  expect(after.closes).not.toContain(before.closes[0]);
  expect(after.again[0]).toMatch(/, again\. /);
});

test('what needs attention is listed with mark and finding, the latest six', () => {
  const readings = Array.from({ length: 8 }, (_, i) => ({
    ...{ id: `r${i}`, stepId: 'isolate', values: { kind: 'reading' as const, value: i } },
    ...{ passed: false, say: m('too damp {i}', { i }), takenAt: at(i - 60), ...ida },
  }));
  const { watch } = told({ ...viewOf(plan), readings });
  expect(watch).toHaveLength(6);
  expect(watch.at(-1)).toMatch(/^Stop: Isolate and make safe, 08:07\. too damp 7/);
  expect(watch[0]).toMatch(/too damp 2/);
});

test('a signed repair has nothing open to report', () => {
  const view = mixed(met(viewOf(plan), ['prep']), at(5));
  expect(told(view, now + 10 * MINUTE).wet).not.toEqual([]);
  expect(told({ ...view, status: 'closed' }, now + 10 * MINUTE).wet).toEqual([]);
});
