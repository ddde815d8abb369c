import { m, word, type Hold, type Plan, type Step } from '@kelmot/core';
import {
  applyCommand,
  validRecords,
  Command,
  mayGoOnWithout,
  openHoldsOfJob,
  stepDone,
  storyOf,
  type Me,
  type ReadingValues,
  type RepairView,
} from '../src/index';
import { AT, HERS, ID, IDA, planOf, viewOf } from './view';

const plan = planOf();
const first = plan.steps[0] as Step;
const NOW = Date.parse(AT) + 60_000;
const HOLDS: Hold[] = [
  { kind: 'check' },
  { kind: 'ambient' },
  { kind: 'reading', label: m('Depth'), quantity: 'length', min: 3, max: null },
  { kind: 'hardness', target: 80, minReadings: 3, minSharePct: 100, scale: 'D' },
  { kind: 'thickness', targetMm: 4, minReadings: 5, leastShare: 0.8 },
  { kind: 'countdown', label: m('Flashing off'), minutes: 600 },
  { kind: 'photo', label: m('The place') },
];

/** A repair whose plan has one hold, and its records in turn. */
function asking(hold: Hold, does: Step['does'] = 'strip') {
  const step: Step = { ...first, id: 'it', does, hold, eachBatch: false };
  const asked: Plan = { ...plan, steps: [step] };
  const bare: RepairView = { ...viewOf(asked), readings: [], checks: [], mixes: [] };
  let made = 0;
  const lay = (view: RepairView, values: ReadingValues): RepairView =>
    applyCommand(
      view,
      {
        ...{ id: `r${(made += 1)}`, repairId: ID, at: AT },
        type: 'reading.add',
        stepId: 'it',
        values,
      },
      HERS,
    );
  return { step, bare, lay, asked };
}
const OVERRIDE: ReadingValues = { kind: 'override', why: 'The shift engineer measured it.' };
const planner: Me = { ...IDA, role: 'planner' };

test.each(HOLDS)('a $kind is skipped, and the record says why and marks it', (hold) => {
  const { step, bare, lay } = asking(hold);
  expect(stepDone(step, bare, NOW)).toBe(false);
  const after = lay(bare, OVERRIDE);
  expect(stepDone(step, after, NOW)).toBe(true);
  expect(openHoldsOfJob(after, NOW)).toEqual([]);
  const [line] = storyOf(after);
  expect([line?.mark, line?.by]).toEqual(['override', IDA.name]);
  expect(line?.say && word(line.say)).toBe('Skipped: The shift engineer measured it.');
});

test('a later measurement counts instead: a failed reading holds the job again', () => {
  const { step, bare, lay } = asking(HOLDS[2] as Hold);
  const failed = lay(lay(bare, OVERRIDE), { kind: 'reading', value: 1 });
  expect(stepDone(step, failed, NOW)).toBe(false);
  expect(stepDone(step, lay(failed, { kind: 'reading', value: 4 }), NOW)).toBe(true);
});

test('a skipped wait that is then started runs from its start', () => {
  const { step, bare, lay } = asking(HOLDS[5] as Hold);
  const begun = lay(lay(bare, OVERRIDE), { kind: 'countdown' });
  expect(stepDone(step, begun, NOW)).toBe(false);
  expect(stepDone(step, begun, Date.parse(AT) + 600 * 60_000)).toBe(true);
});

test('only a planner skips, and nobody skips the lock, the permit, or an approval', () => {
  const by = (hold: Hold | null, who: Me, does: Step['does'] = 'strip', eachBatch = false) =>
    mayGoOnWithout({ hold, does, eachBatch }, who)?.by ?? null;
  for (const hold of HOLDS) {
    expect(by(hold, planner)).toBeNull();
    expect(by(hold, { ...IDA, role: 'technician' })).toBe('person');
    expect(by(hold, { ...IDA, role: 'viewer' })).toBe('person');
    for (const does of ['safe', 'approve'] as const) expect(by(hold, planner, does)).toBe('input');
    expect(by(hold, planner, 'place', true)).toBe('input');
  }
  expect(by({ kind: 'approval', who: 'pressure-engineer' }, planner)).toBe('input');
  expect(by(null, planner)).toBe('input');
});

test('a new plan keeps it if its step is unchanged, and drops it otherwise', () => {
  const { bare, lay, asked } = asking(HOLDS[1] as Hold);
  const { checks, readings } = lay(bare, OVERRIDE);
  const same = validRecords({ body: asked, checks, readings }, asked);
  expect(same.readings.map((r) => [r.values.kind, r.passed])).toEqual([['override', true]]);
  const other = { ...asked, steps: [{ ...(asked.steps[0] as Step), says: [m('Otherwise.')] }] };
  expect(validRecords({ body: asked, checks, readings }, other).readings).toEqual([]);
});

test('a reason is required, and limited to a note', () => {
  const values = (why: string) => ({
    ...{ type: 'reading.add', stepId: 'it', at: AT },
    ...{ id: ID, repairId: ID, values: { kind: 'override', why } },
  });
  expect(Command.safeParse(values('ok')).success).toBe(false);
  expect(Command.safeParse(values('x'.repeat(501))).success).toBe(false);
  expect(Command.safeParse(values('Seen by two of us.')).success).toBe(true);
});
