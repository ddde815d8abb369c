import { planBatches } from '@kelmot/core';
import {
  applyCommand,
  Command,
  createdRepair,
  nextLooks,
  storyOf,
  type RepairView,
} from '../src/index';
import { card, site, survey } from '../../core/test/fixtures';
import { AT, holdOf, ID, HERS, met, planOf, viewOf } from './view';

const plan = planOf();
const fresh = viewOf(plan);
const ready = met(fresh, ['prep', 'mix']);
const [batch] = planBatches(plan);
/** The end of the flash-off after the wipe. */
const DRY = '2026-11-24T10:00:00Z';
const weighed = { at: DRY, batchNo: 1, aG: batch?.aG ?? null, bG: batch?.bG ?? null, lot: 'L' };

let made = 0;
const command = (draft: object): Command =>
  ({ id: `c${(made += 1)}`, repairId: ID, at: AT, ...draft }) as Command;
const laid = (view: RepairView, ...commands: Command[]) =>
  commands.reduce((v, c) => applyCommand(v, c, HERS), view);
const tick = (more: object = {}) =>
  command({ type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '', ...more });
const surface = () =>
  command({
    type: 'reading.add',
    stepId: 'gate',
    values: { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 20 },
  });

test.each([
  ['a tick', fresh, () => tick(), 'checks'],
  ['a reading', fresh, surface, 'readings'],
  ['a batch', ready, () => command({ type: 'mix.start', ...weighed }), 'mixes'],
] as const)('%s that the server already has is not applied twice', (_, view, draft, list) => {
  const sent = draft();
  const once = laid(view, sent);
  expect(once[list]).toHaveLength(view[list].length + 1);
  expect(laid(once, sent)).toBe(once);
  expect(laid(once, draft())[list].length).toBeGreaterThanOrEqual(once[list].length);
});

test('a queued record carries its author and time, and no time of the server', () => {
  const [mixed] = laid(ready, command({ type: 'mix.start', ...weighed })).mixes;
  const [ticked] = laid(fresh, tick({ note: 'Locked.' })).checks;
  const [read] = laid(fresh, surface()).readings;
  const by = { by: 'Ida', byId: 'ida', receivedAt: null };
  expect(ticked).toMatchObject({ stepId: 'isolate', done: true, note: 'Locked.', at: AT, ...by });
  expect(read).toMatchObject({ stepId: 'gate', passed: true, takenAt: AT, ...by });
  expect(mixed).toMatchObject({ batchNo: 1, lot: 'L', startedAt: DRY, inTolerance: true, ...by });
});

test('a record on another plan is not applied; one on this plan, or without a plan, is', () => {
  for (const planId of [ID, undefined])
    expect(laid(fresh, tick({ planId })).checks).toHaveLength(1);
  expect(laid(fresh, tick({ planId: 'another' }))).toBe(fresh);
});

test('a batch that its gate holds is not shown as mixed, off ratio or too early', () => {
  expect(laid(fresh, command({ type: 'mix.start', ...weighed }))).toBe(fresh);
  const off = { ...weighed, aG: (weighed.aG ?? 0) * 1.2 };
  expect(laid(ready, command({ type: 'mix.start', ...off }))).toBe(ready);
  const mixed = laid(ready, command({ type: 'mix.start', ...weighed }));
  expect(mixed.station).toBe('build');
  expect(mixed.mixes.at(-1)?.deviationPct).toBeCloseTo(0, 9);
});

test('a batch is placed or thrown away by its own id', () => {
  const two = laid(ready, command({ type: 'mix.start', ...weighed }));
  const [one] = two.mixes;
  const other = { ...one, id: 'other' } as (typeof two.mixes)[number];
  const both = { ...two, mixes: [...two.mixes, other] };
  const placed = laid(both, command({ type: 'mix.placed', mixId: 'other' }));
  expect(placed.mixes.map((x) => [x.placedAt, x.binnedAt])).toEqual([
    [null, null],
    [AT, null],
  ]);
  const binned = laid(both, command({ type: 'mix.binned', mixId: one?.id }));
  expect(binned.mixes.map((x) => [x.placedAt, x.binnedAt])).toEqual([
    [null, AT],
    [null, null],
  ]);
});

test('an allowed move shows at once with the next version; a held one does not', () => {
  const back = laid(fresh, command({ type: 'station.move', station: 'survey', expect: 2 }));
  expect([back.station, back.version]).toEqual(['survey', fresh.version + 1]);
  expect(laid(fresh, command({ type: 'station.move', station: 'accept', expect: 2 }))).toBe(fresh);
});

test("a picture is its step's reading, and names its subject", () => {
  const step = plan.steps.find((s) => s.hold?.kind === 'photo');
  const stepId = step?.id ?? 'isolate';
  const shot = command({ type: 'photo.add', stepId, mime: 'image/jpeg', data: '' });
  const [read] = laid(fresh, shot).readings;
  expect(read).toMatchObject({
    ...{ id: shot.id, stepId, passed: true, takenAt: AT },
    values: { kind: 'photo', photoId: shot.id },
  });
});

test('a reading of a step without one changes nothing', () => {
  const strange = command({
    type: 'reading.add',
    stepId: 'nothing',
    values: { kind: 'reading', value: 1 },
  });
  expect(laid(fresh, strange)).toBe(fresh);
  expect(laid({ ...fresh, plan: null }, surface()).readings).toEqual([]);
  expect(holdOf(plan, 'gate').kind).toBe('ambient');
});

const save = (changed: object = {}) =>
  command({ type: 'survey.save', expect: 2, survey: { ...survey, ...changed } });
const PLAN = '01936f00-0000-7000-8000-000000000077';
const take = (more: object = {}) =>
  command({
    ...{ type: 'plan.make', expect: 2, planId: PLAN, cardCode: card.code },
    ...{ intent: 'lasting', schools: {}, seconds: {}, ...more },
  });
const sign = (more: object = {}) =>
  command({
    ...{ type: 'signoff.add', planId: ID, verdict: 'accepted', statement: 'Tight.' },
    ...{ override: null, ...more },
  });

/** One command of each type, on a view where it has an effect. */
const EACH: Record<Command['type'], () => [before: RepairView, command: Command]> = {
  'repair.create': () => [fresh, command({ type: 'repair.create', survey })],
  'survey.save': () => [fresh, save({ intent: 'stopgap' })],
  'plan.make': () => [{ ...fresh, plan: null }, take()],
  'station.move': () => [fresh, command({ type: 'station.move', station: 'survey', expect: 2 })],
  'check.set': () => [fresh, tick()],
  'reading.add': () => [fresh, surface()],
  'photo.add': () => [
    fresh,
    command({ type: 'photo.add', stepId: 'isolate', mime: 'image/jpeg', data: '' }),
  ],
  'mix.start': () => [ready, command({ type: 'mix.start', ...weighed })],
  'mix.placed': () => {
    const mixed = laid(ready, command({ type: 'mix.start', ...weighed }));
    return [mixed, command({ type: 'mix.placed', mixId: mixed.mixes[0]?.id })];
  },
  'mix.binned': () => {
    const mixed = laid(ready, command({ type: 'mix.start', ...weighed }));
    return [mixed, command({ type: 'mix.binned', mixId: mixed.mixes[0]?.id })];
  },
  'signoff.add': () => [ready, sign()],
};

test('every command is applied to the view, and shows before it is sent', () => {
  const types = Command.options.map((o) => ('shape' in o ? o.shape.type.value : 'photo.add'));
  expect([...types].sort()).toEqual(Object.keys(EACH).sort());
  for (const [type, make] of Object.entries(EACH)) {
    if (type === 'repair.create') continue;
    const [before, command] = make();
    expect([type, laid(before, command)]).not.toEqual([type, before]);
  }
});

test('a new repair is at Match with its survey before the server has it', () => {
  const create = command({ type: 'repair.create', survey }) as Command & { type: 'repair.create' };
  const view = createdRepair(create);
  expect(view).toMatchObject({
    ...{ id: ID, tag: survey.asset.tag, station: 'match', status: 'open', version: 1, plan: null },
    ...{ createdAt: AT, intent: survey.intent, survey },
  });
  const back = Date.parse(survey.window.startAt) + survey.window.downMin * 60_000;
  expect(Date.parse(view.backBy)).toBe(back);
  // It is planned and begun at once, as if the server had it.
  const begun = laid(view, take(), tick({ planId: PLAN }));
  expect([begun.plan?.number, begun.station, begun.checks.length]).toEqual([1, 'prep', 1]);
});

test('a saved survey shows as saved: no plan, back to Match, records still visible', () => {
  const ticked = laid(fresh, tick({ note: 'Locked.' }));
  const saved = laid(ticked, save({ asset: { ...survey.asset, tag: 'P-9' } }));
  expect([saved.tag, saved.station, saved.plan, saved.version]).toEqual(['P-9', 'match', null, 3]);
  expect([saved.checks, saved.readings, saved.mixes]).toEqual([[], [], []]);
  expect(saved.earlier.map((line) => [line.plan, line.by])).toEqual([[1, 'Ida']]);
  expect(storyOf(saved)).toHaveLength(1);
  const again = laid(saved, take());
  expect([again.plan?.id, again.plan?.number, again.station]).toEqual([PLAN, 2, 'prep']);
  expect(again.plan?.body.survey.asset.tag).toBe('P-9');
  expect(storyOf(again)).toHaveLength(1);
});

test('a choice that this device cannot plan changes nothing; one already acknowledged is not made twice', () => {
  expect(laid(fresh, take({ cardCode: 'NONE' }))).toBe(fresh);
  const made = laid(fresh, take({ intent: 'stopgap' }));
  expect([made.intent, made.plan?.body.survey.intent]).toEqual(['stopgap', 'stopgap']);
  expect(laid(made, take())).toBe(made);
});

test('a sign-off closes the repair with its next looks; “do it again” starts the plan again under its own id', () => {
  const signed = laid(ready, sign());
  expect([signed.status, signed.station, signed.version]).toEqual(['closed', 'accept', 3]);
  expect(signed.signoffs).toMatchObject([{ name: 'Ida', byId: 'ida', statement: 'Tight.' }]);
  const due = nextLooks(plan, AT, site.zone).map((look) => look.dueOn);
  expect(signed.reviews.map((r) => r.dueOn)).toEqual(due);
  expect(laid(signed, { ...sign(), id: signed.signoffs[0]?.id ?? '' } as Command)).toBe(signed);

  const redo = sign({ verdict: 'redo' });
  const anew = laid(ready, redo);
  expect([anew.status, anew.station, anew.plan?.id, anew.plan?.number]).toEqual([
    ...['open', 'prep', redo.id, 2],
  ]);
  expect([anew.checks, anew.readings]).toEqual([[], []]);
  expect(anew.earlier).toHaveLength(ready.checks.length + ready.readings.length);
});

test('a reason for early signing is stored only if the cure was not over', () => {
  const why = { override: 'Entered afterwards.' };
  expect(laid(ready, sign(why)).signoffs[0]?.override).toBe('Entered afterwards.');
  expect(laid(ready, sign({ ...why, verdict: 'redo' })).signoffs[0]?.override).toBeNull();
});

test.each([
  [{ nextLookDays: 30, replaceInDays: null }, ['2026-12-24']],
  [{ nextLookDays: 14, replaceInDays: 90 }, ['2026-12-08', '2027-02-22']],
])('next looks are counted in calendar days: %j', (plan, due) => {
  expect(nextLooks(plan, '2026-11-24T23:30:00Z', 'UTC').map((l) => l.dueOn)).toEqual(due);
  const east = nextLooks(plan, '2026-11-24T23:30:00Z', 'Asia/Tokyo');
  expect((east[0]?.dueOn ?? '') > (due[0] ?? '')).toBe(true);
});
