import { m, MINUTE, word, type Hold, type Plan, type Step, type Timed } from '@kelmot/core';
import {
  applyCommand,
  readingsAtHold,
  validRecords,
  countedName,
  countedOf,
  countsBy,
  judgeOfStep,
  batchMoments,
  batchStages,
  stepDone,
  storyOf,
  waitCalls,
  waitsUntil,
  type RepairView,
} from '../src';
import { AT, HERS, ID, ida, planOf, viewOf } from './view';

const plan = planOf();
const now = Date.parse(AT);
const [first] = plan.steps;
if (!first) throw new Error('the plan has no steps');
const LAMP: Timed = { label: m('Under the lamp'), minutes: 0.5, times: 3 };
const PRESSURE: Timed = { label: m('Pressure held'), minutes: 10, times: 1 };
const AT_LEAST: Hold = {
  ...{ kind: 'reading', label: m('Held'), quantity: 'pressure', min: 2, max: null },
};
const lamp: Step = {
  ...first,
  ...{ id: 'lamp', title: m('Fill in passes'), hold: { kind: 'check' } },
  timed: LAMP,
};
const held: Step = {
  ...lamp,
  ...{ id: 'held', title: m('Half pressure') },
  ...{ hold: AT_LEAST, timed: PRESSURE },
};
const body: Plan = { ...plan, steps: [lamp, held, ...plan.steps] };
const begun = (stepId: string, no: number, minutesAgo = 0): RepairView['readings'][number] => ({
  ...{ id: `${stepId}${no}`, stepId, values: { kind: 'timed', no }, passed: true, say: m('ok') },
  ...{ takenAt: new Date(now - minutesAgo * MINUTE).toISOString(), ...ida },
});
const read = (value: number): RepairView['readings'][number] => ({
  ...begun('held', 1),
  ...{ id: `r${value}`, values: { kind: 'reading', value }, passed: value >= 2 },
});

test('counts continue from the last one, and its clock runs from its start', () => {
  expect(countedOf(first, [])).toBeNull();
  expect(countedOf(lamp, [])).toMatchObject({ begun: 0, ends: null });
  const two = [begun('lamp', 1, 5), begun('held', 1, 1), begun('lamp', 2, 1)];
  expect(countedOf(lamp, two)).toMatchObject({ begun: 2, ends: now - 0.5 * MINUTE });
});

test('each count is named by its number of the total; a single one by its name', () => {
  const name = (timed: Timed, no: number) => word(countedName(timed, no));
  expect(name(LAMP, 2)).toBe('Under the lamp, 2 of 3');
  expect(name(LAMP, 4)).toBe('Under the lamp, 4 of 4');
  expect(name(PRESSURE, 1)).toBe('Pressure held');
});

test('a batch has its share of the counts, the last batch all', () => {
  const [round] = plan.rounds;
  const [batch] = round?.batches ?? [];
  if (!round || !batch) throw new Error('no batch');
  const batches = [1, 2].map((no) => ({ ...batch, no }));
  const two: Plan = { ...plan, rounds: [{ ...round, batches }] };
  const due = batches.map((b) => countsBy(LAMP, two, b));
  expect([...due, countsBy(LAMP, two, null)]).toEqual([2, 3, 3]);
});

test('a clock meets no hold, and undoes none', () => {
  const recorded = (...readings: RepairView['readings']) => ({ readings, checks: [] });
  expect(stepDone(held, recorded(begun('held', 1)), now)).toBe(false);
  expect(stepDone(held, recorded(read(3), begun('held', 2)), now)).toBe(true);
  expect(stepDone(held, recorded(read(1), begun('held', 2)), now)).toBe(false);
  expect(readingsAtHold('held', [read(3), begun('held', 2)])).toHaveLength(1);
});

test('a step that waits counts from the reading, not from a clock beside it', () => {
  const link = { from: { step: 'held' }, to: first.id, least: 30, most: null, instead: [] };
  const linked: Plan = { ...body, links: [{ ...link, why: m('After the test.') }] };
  const waits = (...readings: RepairView['readings']) =>
    waitsUntil(first, { view: { ...viewOf(linked), readings }, plan: linked, now })?.at ?? null;
  expect(waits(begun('held', 1))).toBeNull();
  expect(waits(read(3), begun('held', 1))).toBe(now + 30 * MINUTE);
});

test('a count is recorded without signal, shown in the story without a limit', () => {
  const at = AT;
  const values = { kind: 'timed', no: 1 } as const;
  const command = {
    type: 'reading.add',
    id: ID,
    repairId: ID,
    stepId: 'held',
    values,
    at,
  } as const;
  const view = applyCommand(viewOf(body), command, HERS);
  expect(view.readings.map((r) => word(r.say))).toEqual(['Pressure held: 10 min by the clock.']);
  const [line] = storyOf(view).filter((l) => l.id === ID);
  expect(line).toMatchObject({ limit: null, mark: null });
  const judged = judgeOfStep({ ...held, hold: AT_LEAST }, { kind: 'reading', value: 1 }, body);
  expect(judged.passed).toBe(false);
});

test('it stays in a new plan with the same step', () => {
  const readings = [begun('held', 1), read(3)];
  const carried = validRecords({ body, checks: [], readings }, body);
  expect(carried.readings.map((r) => r.values)).toEqual(readings.map((r) => r.values));
  expect(carried.readings[0]).toEqual(readings[0]);
});

test('its end is called by its step and name', () => {
  const view = { ...viewOf(body), readings: [begun('lamp', 1, 0.2), begun('held', 1, 4)] };
  const told = waitCalls(view, now, 'UTC').map((c) => [c.at - now, c.urgent, word(c.say)]);
  expect(told).toEqual([
    [0.3 * MINUTE, true, 'Fill in passes: Under the lamp, 1 of 3, the time is over.'],
    [6 * MINUTE, true, 'Half pressure: Pressure held, the time is over.'],
  ]);
});

test('an open batch is called at the end of each stage, until it is placed', () => {
  const [batch] = plan.rounds.flatMap((r) => r.batches);
  if (!batch) throw new Error('no batch');
  const mix: RepairView['mixes'][number] = {
    ...{ id: ID, batchNo: batch.no, aG: 1, bG: 1, deviationPct: 0, inTolerance: true, lot: '' },
    ...{ startedAt: AT, placedAt: null, binnedAt: null, ...ida },
  };
  const [stage] = batchStages(plan, batch, mix);
  expect(stage?.ends).toBe(now + (stage?.minutes ?? 0) * MINUTE);
  expect(batchMoments(plan, batch, mix).mixed).toBe(stage?.ends);
  const calls = (mixed: typeof mix) =>
    waitCalls({ ...viewOf(plan), mixes: [mixed] }, now, 'UTC').filter((c) => c.at === stage?.ends);
  expect(word(calls(mix)[0]?.say ?? m(''))).toMatch(/^Batch 1: Mixing, the time is over\. /);
  expect(calls({ ...mix, placedAt: AT })).toEqual([]);
});
