import { tasksOf, m } from '@kelmot/core';
import { initialsOf, lastRecord, tickedBy, type Check } from '../src';
import { planOf, viewOf } from './view';

const plan = planOf();
const tasks = tasksOf(plan);
const tick = (byId: string, more: Partial<Check> = {}): Check => ({
  ...{ id: `${byId}-${more.at ?? ''}`, stepId: 'isolate', batchNo: null, done: true, note: '' },
  ...{ at: '2026-11-24T08:00:00Z', by: byId, byId, receivedAt: null },
  ...more,
});

test.each([
  ['Ida Lund', 'IL'],
  ['ida', 'I'],
  ['  Ana María de la Cruz ', 'AC'],
  ['Øystein Åse', 'ØÅ'],
  ['💧 Brook', '💧B'],
  ['', ''],
])('%s is known by %s', (name, initials) => {
  expect(initialsOf(name)).toBe(initials);
});

describe('who ticked a step', () => {
  const who = (checks: Check[], batchNo?: number) =>
    tickedBy(checks, 'isolate', batchNo).map((c) => c.byId);
  test('one person counts once, however often they ticked', () => {
    expect(who([tick('ida'), tick('ida')])).toEqual(['ida']);
    expect(who([])).toEqual([]);
  });
  test('two people did it twice, the first one first', () => {
    expect(who([tick('ida'), tick('tomas'), tick('ida')])).toEqual(['ida', 'tomas']);
  });
  test('an undone tick does not count, no matter who undid it', () => {
    expect(who([tick('ida'), tick('tomas', { done: false })])).toEqual([]);
    expect(who([tick('ida'), tick('ida', { done: false }), tick('tomas')])).toEqual(['tomas']);
  });
  test('each batch and each step has its own', () => {
    const checks = [tick('ida', { batchNo: 1 }), tick('tomas', { batchNo: 2 }), tick('ida')];
    expect(who(checks, 1)).toEqual(['ida']);
    expect(who(checks, 2)).toEqual(['tomas']);
    expect(tickedBy(checks, 'clean')).toEqual([]);
  });
});

describe('the last record of a task', () => {
  const isolate = tasks[0];
  const mixing = tasks.find((d) => d.step.name === 'mix');
  if (!isolate || !mixing?.batch) throw new Error('the plan has no such tasks');
  const at = (hour: number) => `2026-11-24T${String(hour).padStart(2, '0')}:00:00Z`;

  test('is null if there is none', () => {
    expect(lastRecord(isolate, viewOf(plan))).toBeNull();
  });
  test('is the latest by time, not by position', () => {
    const checks = [tick('tomas', { at: at(9) }), tick('ida', { at: at(8) })];
    expect(lastRecord(isolate, { ...viewOf(plan), checks })).toMatchObject({ byId: 'tomas' });
  });
  test('a reading counts like a tick', () => {
    const reading = {
      ...{ id: 'r', stepId: 'isolate', values: { kind: 'countdown' } as const, passed: true },
      ...{ say: m(''), takenAt: at(10), by: 'Orla', byId: 'orla', receivedAt: null },
    };
    const view = { ...viewOf(plan), checks: [tick('ida', { at: at(8) })], readings: [reading] };
    expect(lastRecord(isolate, view)).toMatchObject({ byId: 'orla', at: at(10) });
  });
  test('a batch counts only for its mixing, and not once thrown away', () => {
    const mix = {
      ...{ id: 'm', batchNo: mixing.batch?.no ?? 1, aG: 1, bG: 1, deviationPct: 0 },
      ...{ inTolerance: true, lot: 'L', startedAt: at(11), placedAt: null, binnedAt: null },
      ...{ by: 'Ida', byId: 'ida', receivedAt: null },
    };
    const view = { ...viewOf(plan), mixes: [mix] };
    expect(lastRecord(mixing, view)).toMatchObject({ byId: 'ida', at: at(11) });
    expect(lastRecord(isolate, view)).toBeNull();
    const binned = { ...view, mixes: [{ ...mix, binnedAt: at(12) }] };
    expect(lastRecord(mixing, binned)).toBeNull();
  });
});
