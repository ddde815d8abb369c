import { planBatches } from '@kelmot/core';
import { applyCommand, type Command, type RepairView } from '../src/index';
import { AT, holdOf, ID, IDA, met, planOf, viewOf } from './view';

const plan = planOf();
const fresh = viewOf(plan);
const ready = met(fresh, ['prep', 'mix']);
const [batch] = planBatches(plan);
/** When the flash-off after the wipe is over. */
const DRY = '2026-11-24T10:00:00Z';
const weighed = { at: DRY, batchNo: 1, aG: batch?.aG ?? null, bG: batch?.bG ?? null, lot: 'L' };

let made = 0;
const command = (draft: object): Command =>
  ({ id: `c${(made += 1)}`, repairId: ID, at: AT, ...draft }) as Command;
const laid = (view: RepairView, ...commands: Command[]) =>
  commands.reduce((v, c) => applyCommand(v, c, IDA), view);
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
] as const)('%s that the server has already is not there twice', (_, view, draft, list) => {
  const sent = draft();
  const once = laid(view, sent);
  expect(once[list]).toHaveLength(view[list].length + 1);
  expect(laid(once, sent)).toBe(once);
  expect(laid(once, draft())[list].length).toBeGreaterThanOrEqual(once[list].length);
});

test('what waits carries who typed it and when, and no moment of the server', () => {
  const [mixed] = laid(ready, command({ type: 'mix.start', ...weighed })).mixes;
  const [ticked] = laid(fresh, tick({ note: 'Locked.' })).checks;
  const [read] = laid(fresh, surface()).readings;
  const by = { by: 'Ida', byId: 'ida', receivedAt: null };
  expect(ticked).toMatchObject({ stepId: 'isolate', done: true, note: 'Locked.', at: AT, ...by });
  expect(read).toMatchObject({ stepId: 'gate', passed: true, takenAt: AT, ...by });
  expect(mixed).toMatchObject({ batchNo: 1, lot: 'L', startedAt: DRY, inTolerance: true, ...by });
});

test('what was recorded on another plan stays off this one; what names this one, or none, is laid over it', () => {
  for (const planId of [ID, undefined])
    expect(laid(fresh, tick({ planId })).checks).toHaveLength(1);
  expect(laid(fresh, tick({ planId: 'another' }))).toBe(fresh);
});

test('a batch that its gate holds is not shown as mixed, off ratio or too soon', () => {
  expect(laid(fresh, command({ type: 'mix.start', ...weighed }))).toBe(fresh);
  const off = { ...weighed, aG: (weighed.aG ?? 0) * 1.2 };
  expect(laid(ready, command({ type: 'mix.start', ...off }))).toBe(ready);
  const mixed = laid(ready, command({ type: 'mix.start', ...weighed }));
  expect(mixed.station).toBe('build');
  expect(mixed.mixes.at(-1)?.deviationPct).toBeCloseTo(0, 9);
});

test('a batch is placed or binned by its own id, and no other with it', () => {
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

test('a move that nothing holds shows at once with the next version; one that is held does not', () => {
  const back = laid(fresh, command({ type: 'station.move', station: 'survey', expect: 2 }));
  expect([back.station, back.version]).toEqual(['survey', fresh.version + 1]);
  expect(laid(fresh, command({ type: 'station.move', station: 'accept', expect: 2 }))).toBe(fresh);
});

test('a picture is the reading of its step, and says what it is of', () => {
  const step = plan.steps.find((s) => s.hold?.kind === 'photo');
  const stepId = step?.id ?? 'isolate';
  const shot = command({ type: 'photo.add', stepId, mime: 'image/jpeg', data: '' });
  const [read] = laid(fresh, shot).readings;
  expect(read).toMatchObject({
    ...{ id: shot.id, stepId, passed: true, takenAt: AT },
    values: { kind: 'photo', photoId: shot.id },
  });
});

test('a reading of a step that asks for none changes nothing', () => {
  const strange = command({
    type: 'reading.add',
    stepId: 'nothing',
    values: { kind: 'reading', value: 1 },
  });
  expect(laid(fresh, strange)).toBe(fresh);
  expect(laid({ ...fresh, plan: null }, surface()).readings).toEqual([]);
  expect(holdOf(plan, 'gate').kind).toBe('ambient');
});
