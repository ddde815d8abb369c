import { m, word, type Hold } from '@kelmot/core';
import { approvedBy, judgeReading, type ReadingValues } from '../src/index';
import { IDA, planOf } from './view';

const plan = planOf();
const label = m('Look');
const judged = (hold: Hold, values: ReadingValues) => {
  const { passed, say } = judgeReading(hold, values, plan);
  return [passed, word(say)];
};
const reading = (value: number): ReadingValues => ({ kind: 'reading', value });
const between = (min: number | null, max: number | null): Hold => ({
  ...{ kind: 'reading', label, quantity: 'length' },
  ...{ min, max },
});

test('a reading at its limit passes, just beyond it does not', () => {
  for (const value of [3, 4.5, 6])
    expect(judged(between(3, 6), reading(value))).toEqual([
      true,
      `${value} mm is within the limits.`,
    ]);
  expect(judged(between(3, 6), reading(2.99))).toEqual([
    false,
    'Stop: 2.99 mm; 3 mm is the least.',
  ]);
  expect(judged(between(3, 6), reading(6.01))).toEqual([false, 'Stop: 6.01 mm; 6 mm is the most.']);
  // Rounding noise of tenths is not a fault.
  expect(judged(between(0.3, null), reading(0.1 + 0.1 + 0.1 - 1e-12))[0]).toBe(true);
  expect(judged(between(null, 0.3), reading(0.1 + 0.2))[0]).toBe(true);
  expect(judged(between(null, null), reading(-1e6))[0]).toBe(true);
});

describe('thicknesses', () => {
  /** 10 mm mean, no place below eight tenths of it, from three readings. */
  const hold: Hold = { kind: 'thickness', targetMm: 10, leastShare: 0.8, minReadings: 3 };
  const said = (...valuesMm: number[]) => judged(hold, { kind: 'thickness', valuesMm });

  test('a mean at its target and a lowest value at its floor pass', () => {
    expect(said(10, 10, 10)).toEqual([true, 'Mean 10 mm, lowest 10 mm; it needs 10 mm.']);
    expect(said(8, 11, 11)).toEqual([true, 'Mean 10 mm, lowest 8 mm; it needs 10 mm.']);
    expect(said(8, 12, 12)[0]).toBe(true);
  });
  test('a low mean, one low place, and too few readings are distinguished', () => {
    expect(said(9.9, 10, 10)).toEqual([
      false,
      expect.stringMatching(/^Stop: mean 9\.97 mm; it needs/),
    ]);
    expect(said(7.9, 12, 12)).toEqual([false, 'Stop: lowest 7.9 mm; no place under 8 mm.']);
    expect(said(12, 12)).toEqual([false, 'Take 1 more.']);
    expect(said()).toEqual([false, 'Take 3 more.']);
  });
});

describe('the gate, each limit alone', () => {
  const hold: Hold = { kind: 'ambient', label } as Hold;
  const said = (airC: number, rhPct: number, surfaceC: number) =>
    judged(hold, { kind: 'ambient', airC, rhPct, surfaceC });

  test('humidity at its maximum passes, one point above does not', () => {
    expect(said(20, 85, 30)[0]).toBe(true);
    expect(said(20, 86, 30)).toEqual([false, 'Stop. Humidity is 86 %; 85 % is the most.']);
  });
  test('a surface at its lowest and highest temperature passes, one degree beyond does not', () => {
    expect([said(5, 30, 5)[0], said(30, 30, 45)[0]]).toEqual([true, true]);
    expect(said(5, 30, 4)).toEqual([false, 'Stop. Steel is at 4 °C; it needs 5 °C.']);
    expect(said(30, 30, 46)).toEqual([false, 'Stop. Steel is at 46 °C; 45 °C is the most.']);
  });
  test('a non-metal is called the surface', () => {
    const floor = { ...plan, survey: { ...plan.survey, parent: { material: 'concrete' } } };
    const { say } = judgeReading(
      hold,
      { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 20 },
      floor as unknown as typeof plan,
    );
    expect(word(say)).toMatch(/^Go\. The surface is/);
  });
});

test('a wait, a picture and an approval are met by existing; a reading of another step is not', () => {
  const wait: Hold = { kind: 'countdown', label, minutes: 90 };
  expect(judged(wait, { kind: 'countdown' } as ReadingValues)).toEqual([true, 'Look, 1 h 30 min.']);
  const picture: Hold = { kind: 'photo', label };
  expect(judged(picture, { kind: 'photo', photoId: 'p' } as ReadingValues)).toEqual([
    true,
    'Look.',
  ]);
  const other = [false, 'This step does not need this reading.'];
  expect(judged(picture, reading(1))).toEqual(other);
  expect(judged(between(1, 2), { kind: 'photo', photoId: 'p' } as ReadingValues)).toEqual(other);
});

describe('an approval', () => {
  const hold = { kind: 'approval', who: 'pressure-engineer' } as Hold;
  const typed = { kind: 'approval', name: 'Somebody', reference: 'Q-7', account: null } as const;

  test('by an authorised account carries that account, whatever name was typed', () => {
    const who = { ...IDA, approves: ['pressure-engineer'] as never };
    const kept = approvedBy(hold, typed, who);
    expect(kept).toEqual({ ...typed, name: 'Ida', account: 'ida' });
    expect(judged(hold, kept)).toEqual([true, 'Approved by Ida, Q-7, signed in.']);
  });
  test('by another person keeps the typed name, never a sent account', () => {
    const kept = approvedBy(hold, { ...typed, account: 'tomas' } as never, IDA);
    expect(kept).toEqual(typed);
    expect(judged(hold, kept)[1]).toBe(
      'Approved by Somebody, Q-7. The name was typed; it is not verified.',
    );
    const another = { ...IDA, approves: ['structural-engineer'] as never };
    expect(approvedBy(hold, typed, another)).toEqual(typed);
  });
  test('other readings are stored unchanged', () => {
    expect(approvedBy(hold, reading(3), IDA)).toEqual(reading(3));
  });
});
