import { m, planBatches, word, type Hold, type Plan } from '@kelmot/core';
import {
  applyCommand,
  Command,
  judgeReading,
  openForBatch,
  openHolds,
  openHoldsOfJob,
  stepDone,
  waitEnd,
  type ReadingValues,
  type RepairView,
} from '../src/index';
import { AT, holdOf, ID, ida, HERS, met, planOf, viewOf } from './view';

const plan = planOf();
const view = viewOf(plan);
let made = 0;
/** A new id for each command, the same repair. */
const base = () => ({ id: `${ID.slice(0, -4)}${String(1000 + ++made)}`, repairId: ID, at: AT });
const hold = (id: string) => holdOf(plan, id);
/** A verdict as text. */
const told = (of: Hold, values: ReadingValues, by: Plan = plan) => {
  const { passed, say } = judgeReading(of, values, by);
  return { passed, say: word(say) };
};
const said = (open: ReturnType<typeof openHolds>) => open.map((x) => word(x));

test('the gate says go or stop with the figure and the limit', () => {
  expect(told(hold('gate'), { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 18 })).toEqual({
    passed: true,
    say: 'Go. Steel is 8.7 °C above dew point; it needs 3 °C.',
  });
  const wet = { kind: 'ambient', airC: 20, rhPct: 80, surfaceC: 18 } as const;
  expect(told(hold('gate'), wet)).toEqual({
    passed: false,
    say: 'Stop. Steel is 1.6 °C above dew point; it needs 3 °C.',
  });
  expect(word(judgeReading(hold('gate'), wet, plan).say, 'us')).toBe(
    'Stop. Steel is 3 °F above dew point; it needs 5 °F.',
  );
});

test.each([
  ['open-up', { kind: 'reading', value: 2 }, false, 'Stop: 2 mm; 3 mm is the least.'],
  ['grade', { kind: 'reading', value: 120 }, false, 'Stop: 120 µm; 100 µm is the most.'],
  ['grade', { kind: 'reading', value: 80 }, true, '80 µm is within the limits.'],
  ['hardness', { kind: 'hardness', values: [81, 82] }, false, 'Take 1 more.'],
  ['hardness', { kind: 'hardness', values: [81, 82, 79] }, false, 'Stop: lowest 79; it needs 80.'],
  ['hardness', { kind: 'hardness', values: [81, 82, 80] }, true, 'Lowest 80; it needs 80.'],
  ['gate', { kind: 'reading', value: 5 }, false, 'This step does not need this reading.'],
] as const)('%s judged', (step, values, passed, say) => {
  expect(told(hold(step), values as never)).toEqual({ passed, say });
});

/** Long after everything that is recorded here. */
const later = Date.parse('2027-01-01T00:00:00Z');

test('a hold follows its last record: an undone tick opens it again', () => {
  const step = plan.steps.find((s) => s.id === 'isolate');
  if (!step) throw new Error('no step');
  const ticked = applyCommand(
    view,
    { ...base(), type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '' },
    HERS,
  );
  expect(stepDone(step, ticked, later)).toBe(true);
  const back = applyCommand(
    ticked,
    { ...base(), type: 'check.set', stepId: 'isolate', batchNo: null, done: false, note: '' },
    HERS,
  );
  expect(stepDone(step, back, later)).toBe(false);
  expect(said(openHolds(back, 'mix', later))).toContain('Isolate and make safe');
});

test('the outbox is applied to the view: a judged reading, a mixed, placed, discarded batch', () => {
  const measured = applyCommand(
    view,
    { ...base(), type: 'reading.add', stepId: 'grade', values: { kind: 'reading', value: 80 } },
    HERS,
  );
  expect(measured.readings[0]).toMatchObject({ passed: true, by: 'Ida' });
  const batch = planBatches(plan)[0];
  if (!batch) throw new Error('no batch');
  const held = applyCommand(
    view,
    { ...base(), type: 'mix.start', batchNo: 1, aG: batch.aG, bG: batch.bG, lot: 'L' },
    HERS,
  );
  expect(held.mixes).toEqual([]);
  const mixed = applyCommand(
    met(view, ['prep', 'mix']),
    {
      ...base(),
      at: '2026-11-24T10:00:00Z',
      type: 'mix.start',
      batchNo: 1,
      aG: batch.aG,
      bG: batch.bG,
      lot: 'L',
    },
    HERS,
  );
  expect(mixed).toMatchObject({ station: 'build', mixes: [{ inTolerance: true, placedAt: null }] });
  expect(said(openHolds(mixed, 'cure', later))).toContain('one batch to place');
  const placed = applyCommand(
    mixed,
    { ...base(), type: 'mix.placed', mixId: mixed.mixes[0]?.id ?? '' },
    HERS,
  );
  expect(said(openHolds(placed, 'cure', later))).not.toContain('one batch to place');
  const binned = applyCommand(
    mixed,
    { ...base(), type: 'mix.binned', mixId: mixed.mixes[0]?.id ?? '' },
    HERS,
  );
  expect(said(openHolds(binned, 'cure', later))).toContain('one batch to place');
  // Nothing may be mixed while a step before its round is open.
  expect(said(openForBatch(view, 1, later))).toContain('Isolate and make safe');
  expect(said(openHoldsOfJob(placed, later)).length).toBeGreaterThan(0);
});

test('a command out of range is rejected by its schema', () => {
  const start = { ...base(), type: 'mix.start', batchNo: 1, aG: 100, bG: 20, lot: '' };
  expect(Command.safeParse(start).success).toBe(true);
  for (const wrong of [
    { aG: -1 },
    { aG: 1e9 },
    { batchNo: 1.5 },
    { at: 'yesterday' },
    { id: '7' },
    { colour: 'red' },
  ]) {
    expect(Command.safeParse({ ...start, ...wrong }).success).toBe(false);
  }
});

describe('the other holds', () => {
  const judged = (hold: Hold, values: ReadingValues) => told(hold, values);

  test.each([
    [[2, 2], false, 'Take 1 more.'],
    [[2, 2, 1.9], false, 'Stop: mean 1.97 mm; it needs 2 mm.'],
    [[3, 3, 1.5], false, 'Stop: lowest 1.5 mm; no place under 1.6 mm.'],
    [[2.2, 2.1, 1.8], true, 'Mean 2.03 mm, lowest 1.8 mm; it needs 2 mm.'],
  ])('thicknesses %j', (valuesMm, passed, say) => {
    const hold = { kind: 'thickness', targetMm: 2, minReadings: 3, leastShare: 0.8 } as const;
    expect(judged(hold, { kind: 'thickness', valuesMm })).toEqual({ passed, say });
  });

  test('an approval is stored by name and reference; a picture by its id', () => {
    expect(
      judged(
        { kind: 'approval', who: 'pressure-engineer' },
        { kind: 'approval', name: 'A. Example', reference: 'D-12', account: null },
      ),
    ).toEqual({
      passed: true,
      say: 'Approved by A. Example, D-12. The name was typed; it is not verified.',
    });
    expect(judged({ kind: 'photo', label: m('The leak') }, { kind: 'photo', photoId: ID })).toEqual(
      {
        passed: true,
        say: 'The leak.',
      },
    );
  });

  test('a wait ends after its minutes, from its recording', () => {
    const step = {
      ...(plan.steps[0] as (typeof plan.steps)[number]),
      id: 'flash',
      hold: { kind: 'countdown', label: m('Flashing off'), minutes: 15 } as const,
    };
    expect(waitEnd(step, view)).toBeNull();
    const begun = {
      ...view,
      readings: [
        {
          id: ID,
          stepId: 'flash',
          values: { kind: 'countdown' },
          passed: true,
          say: m(''),
          takenAt: AT,
          ...ida,
        } as const,
      ],
    };
    const at = (minutes: number) => Date.parse(AT) + minutes * 60_000;
    expect(waitEnd(step, begun)).toBe(at(15));
    expect(stepDone(step, begun, at(14))).toBe(false);
    expect(stepDone(step, begun, at(15))).toBe(true);
  });
});

describe("a plan's waits apply to the real times of the job", () => {
  const coated = planOf({
    surface: { damp: 'dry', slope: 'overhead' },
    window: { downMin: 2880, startAt: '2026-11-24T08:00:00Z' },
  });
  const start = Date.parse(AT);
  const at = (minutes: number) => start + minutes * 60_000;
  const [one, two] = planBatches(coated);
  if (!one || !two) throw new Error('two coats');
  const mixed: RepairView = {
    ...met(viewOf(coated), ['prep', 'mix', 'build']),
    mixes: [
      {
        id: ID,
        batchNo: one.no,
        aG: one.aG,
        bG: one.bG,
        deviationPct: 0,
        inTolerance: true,
        lot: '',
        startedAt: new Date(start).toISOString(),
        placedAt: new Date(at(20)).toISOString(),
        binnedAt: null,
        ...ida,
      },
    ],
  };
  const link = coated.links.find((l) => 'round' in l.from && l.from.round === one.round);
  const open = (minutes: number) => said(openForBatch(mixed, two.no, at(minutes))).join(' ');

  test('a coat waits for the one before it, and says how long', () => {
    const least = link?.least ?? 0;
    expect(least).toBeGreaterThan(0);
    expect(open(least - 10)).toMatch(/10 min to wait/);
    expect(open(least + 1)).not.toMatch(/to wait/);
  });

  test('an old gate reading is repeated', () => {
    expect(open(119)).not.toMatch(/again/);
    expect(open(121)).toMatch(/Dew point gate, again\./);
  });
});
