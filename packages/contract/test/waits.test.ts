import { m, MINUTE, soonAt, word, type Plan, type Step } from '@kelmot/core';
import { closingWindows, waitCalls, type RepairView } from '../src';
import { AT, ida, met, planOf, viewOf } from './view';

const plan = planOf();
const now = Date.parse(AT);
const told = (view: RepairView, at = now) =>
  waitCalls(view, at, 'UTC').map((call) => ({
    ...{ in: Math.round((call.at - now) / MINUTE), urgent: call.urgent, say: word(call.say) },
  }));
const [first] = plan.steps;
if (!first) throw new Error('the plan has no steps');
const dry: Step = {
  ...first,
  ...{ id: 'dry', title: m('Let it dry') },
  hold: { kind: 'countdown', label: m('Dry'), minutes: 40 },
};
const drying: Plan = { ...plan, steps: [dry, ...plan.steps] };
const started = (minutesAgo: number): RepairView['readings'][number] => ({
  ...{ id: `w${minutesAgo}`, stepId: 'dry', values: { kind: 'countdown' }, passed: true },
  ...{ say: m('ok'), takenAt: new Date(now - minutesAgo * MINUTE).toISOString(), ...ida },
});

test('a started wait is called at its end; one not started never', () => {
  expect(told(viewOf(drying))).toEqual([]);
  const view = { ...viewOf(drying), readings: [started(10)] };
  expect(told(view)).toEqual([{ in: 30, urgent: false, say: 'Let it dry: the wait is over.' }]);
});

test('a wait started again is called by its last start', () => {
  const view = { ...viewOf(drying), readings: [started(35), started(5)] };
  expect(told(view).map((call) => call.in)).toEqual([35]);
});

test('an expiring reading is called before and at its end', () => {
  const view = met(viewOf(plan), ['prep']);
  const [closing] = closingWindows(view, now);
  if (!closing) throw new Error('no window runs');
  const calls = waitCalls(view, now, 'UTC');
  const last = calls.find((call) => call.at === closing.at);
  expect(last?.urgent).toBe(true);
  expect(word(last?.say ?? m(''))).toMatch(/, again\. /);
  const soon = calls.find((call) => call.at === soonAt(now, closing.at));
  expect(word(soon?.say ?? m(''))).toMatch(/^Before \d\d:\d\d: /);
  expect(calls.map((call) => call.at)).toEqual(calls.map((call) => call.at).sort((p, q) => p - q));
});

test('after the next step has begun, nothing expires', () => {
  const view = met(viewOf(plan), ['prep']);
  const before = told(view).length;
  const batches = plan.rounds.flatMap((round) => round.batches);
  const mixes = batches.map(({ no }) => ({
    ...{ id: `m${no}`, batchNo: no, aG: 1, bG: 1, deviationPct: 0, inTolerance: true, lot: '' },
    ...{ startedAt: AT, placedAt: AT, binnedAt: null, ...ida },
  }));
  expect(told({ ...view, mixes }).length).toBeLessThan(before);
});

test('a closed repair, or one without a plan, makes no calls', () => {
  const view = { ...viewOf(drying), readings: [started(10)] };
  expect(told({ ...view, status: 'closed' })).toEqual([]);
  expect(told({ ...view, plan: null })).toEqual([]);
});

test('the warning comes when a quarter of a window is left, and at the earliest an hour before its end', () => {
  expect(soonAt(0, 40 * MINUTE)).toBe(30 * MINUTE);
  expect(soonAt(0, 48 * 60 * MINUTE)).toBe(47 * 60 * MINUTE);
});
