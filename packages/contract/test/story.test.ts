import { planBatches, m, q, word } from '@kelmot/core';
import {
  applyCommand,
  recordedLines,
  storyOf,
  type Command,
  type RepairView,
  type StoryLine,
} from '../src/index';
import { AT, ida, ID, HERS, met, planOf, viewOf } from './view';

const plan = planOf();
const fresh = viewOf(plan);
const [batch] = planBatches(plan);
const at = (minutes: number) => new Date(Date.parse(AT) + minutes * 60_000).toISOString();

let made = 0;
const laid = (view: RepairView, minutes: number, draft: object): RepairView => {
  const id = `c${(made += 1)}`;
  return applyCommand(view, { id, repairId: ID, at: at(minutes), ...draft } as Command, HERS);
};
const mixed = (minutes: number): RepairView => {
  const weighed = { aG: batch?.aG ?? null, bG: batch?.bG ?? null, lot: 'L-7' };
  const view = laid(met(fresh, ['prep', 'mix']), minutes, {
    type: 'mix.start',
    batchNo: 1,
    ...weighed,
  });
  return { ...view, checks: [], readings: [] };
};
/** A line as text: title, finding, limit, mark. */
const told = ({ title, say, limit, mark }: StoryLine) => [
  word(title),
  say && word(say),
  limit && word(limit),
  mark,
];
const storyTold = (view: RepairView) => storyOf(view).map(told);

test('without records the story is empty', () => {
  expect(storyOf(fresh)).toEqual([]);
  expect(storyOf({ ...fresh, plan: null })).toEqual([]);
});

test('a tick is its step with its note; an undone one is marked', () => {
  const tick = { type: 'check.set', stepId: 'isolate', batchNo: null };
  let view = laid(fresh, 0, { ...tick, done: true, note: 'Lock 14.' });
  view = laid(view, 5, { ...tick, done: false, note: '' });
  expect(storyTold(view)).toEqual([
    ['Isolate and make safe', 'Lock 14.', null, null],
    ['Isolate and make safe', null, null, 'undone'],
  ]);
  expect(storyOf(view)[0]).toMatchObject({ at: at(0), by: 'Ida', plan: null });
  const each = laid(fresh, 0, { ...tick, batchNo: 3, done: true, note: '' });
  expect(storyTold(each)[0]?.[0]).toBe('Isolate and make safe, batch 3');
});

test('a reading shows its limits, and one that stopped the work is marked', () => {
  const read = (stepId: string, values: object) =>
    storyTold(laid(fresh, 0, { type: 'reading.add', stepId, values }))[0];
  expect(read('grade', { kind: 'reading', value: 80 })?.slice(1)).toEqual([
    '80 µm is within the limits.',
    '60 µm to 100 µm',
    null,
  ]);
  expect(read('open-up', { kind: 'reading', value: 2 })?.slice(1)).toEqual([
    'Stop: 2 mm; 3 mm is the least.',
    '3 mm or more',
    'failed',
  ]);
  expect(read('hardness', { kind: 'hardness', values: [81, 82, 83] })?.slice(2)).toEqual([
    'Shore D 80 or more',
    null,
  ]);
  expect(read('gate', { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 18 })?.[2]).toBe(
    '3 °C or more above dew point, 85 % or less, surface 5 °C to 45 °C',
  );
});

test('limits are shown for every kind of hold that has them', () => {
  const [step] = plan.steps.filter((s) => s.id === 'grade');
  const heldAgainst = (hold: object) => {
    const steps = [{ ...step, hold }] as typeof plan.steps;
    const view = { ...fresh, plan: { id: ID, number: 1, body: { ...plan, steps } } };
    const values = { kind: 'reading', value: 1 } as const;
    const reading = {
      id: 'r',
      stepId: 'grade',
      values,
      passed: true,
      say: m(''),
      takenAt: AT,
      ...ida,
    };
    const [line] = storyOf({ ...view, readings: [reading] });
    return line?.limit ? word(line.limit) : null;
  };
  const reading = { kind: 'reading', label: m(''), quantity: 'length' };
  expect(heldAgainst({ ...reading, min: null, max: 4 })).toBe('4 mm or less');
  expect(heldAgainst({ ...reading, min: null, max: null })).toBeNull();
  expect(heldAgainst({ kind: 'thickness', targetMm: 10, leastShare: 0.8, minReadings: 3 })).toBe(
    'mean 10 mm or more, none under 8 mm',
  );
  expect(heldAgainst({ kind: 'photo', label: m('') })).toBeNull();
});

test('a batch shows its weights, lot and end; a late one is marked', () => {
  const view = mixed(60);
  const [begun] = storyTold(view);
  expect(begun?.[0]).toBe('Batch 1 mixed');
  expect(begun?.[1]).toMatch(/^322 g and 40\.2 g, 0 % off its ratio\. Lot L-7\.$/);
  // A value from a scale names the scale.
  const sent = { ...view, mixes: view.mixes.map((x) => ({ ...x, instrument: 'Pail scale' })) };
  expect(storyTold(sent)[0]?.[1]).toMatch(/off its ratio\. Read by Pail scale\. Lot L-7\.$/);
  const end = (type: string, minutes: number) =>
    storyTold(laid(view, minutes, { type, mixId: view.mixes[0]?.id }))[1];
  // Fifty minutes of working life.
  expect(end('mix.placed', 109)).toEqual([
    'Batch 1 placed',
    '49 min after mixing.',
    '50 min or less',
    null,
  ]);
  expect(end('mix.placed', 111)?.[3]).toBe('late');
  expect(end('mix.binned', 200)).toEqual([
    'Batch 1 thrown away',
    '2 h 20 min after mixing.',
    null,
    null,
  ]);
});

test('an approval with a typed name is marked, one by an account is not', () => {
  const values = { kind: 'approval', name: 'N. Body', reference: 'Q-1' } as const;
  const line = (account: string | null) => {
    const reading = {
      ...{ id: 'r', stepId: 'isolate', passed: true, say: m('Approved.'), takenAt: AT, ...ida },
      values: { ...values, account },
    };
    return storyOf({ ...fresh, readings: [reading] })[0]?.mark;
  };
  expect([line(null), line('orla')]).toEqual(['unverified', null]);
});

test('a record of an earlier plan is compared with that plan, and marked as then', () => {
  const read = laid(fresh, 0, {
    ...{ type: 'reading.add', stepId: 'open-up' },
    values: { kind: 'reading', value: 2 },
  });
  const [line] = storyOf({ ...fresh, earlier: recordedLines(plan, read, 1) });
  expect(line && told(line).slice(2)).toEqual(['3 mm or more', 'failed']);
  expect(line?.plan).toBe(1);
});

test('a sign-off shows its person, result, and why it was signed before the end of the cure', () => {
  const signed = {
    ...{ id: 's', statement: 'Hard all over.', name: 'Tomas', byId: 'tomas', at: AT },
    supersedes: null,
  };
  const line = (more: object) =>
    storyOf({ ...fresh, signoffs: [{ ...signed, ...more } as never] })[0];
  const plain = line({ verdict: 'accepted', override: null });
  expect(plain && told(plain)).toEqual([
    'Accepted and returned to service',
    'Hard all over.',
    null,
    null,
  ]);
  expect(plain?.by).toBe('Tomas');
  const early = line({ verdict: 'accepted', override: 'Entered afterwards.' });
  expect(early && told(early).slice(1)).toEqual([
    'Hard all over. Signed before the end of the cure by the server’s clock: Entered afterwards.',
    null,
    'override',
  ]);
  expect(line({ verdict: 'redo', override: null })?.mark).toBe('failed');
});

test('all lines are in order of time, whatever their plan', () => {
  let view = mixed(60);
  view = laid(view, 30, {
    type: 'check.set',
    stepId: 'isolate',
    batchNo: null,
    done: true,
    note: '',
  });
  const earlier = {
    ...{ id: 'e', plan: 1, by: 'Tomas', at: at(45), limit: null, mark: null },
    title: m('Degrease'),
    say: m('{d}', { d: q(3, 'length') }),
  };
  const story = storyOf({ ...view, earlier: [earlier] });
  expect(story.map((s) => [word(s.title), s.plan, s.at])).toEqual([
    ['Isolate and make safe', null, at(30)],
    ['Degrease', 1, at(45)],
    ['Batch 1 mixed', null, at(60)],
  ]);
});
