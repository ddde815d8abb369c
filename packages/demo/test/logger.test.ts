import { instrument, type Sample } from '@kelmot/core/instruments/instrument';
import type { Fault, InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { judgeSamples } from '@kelmot/core/instruments/judgeSamples';
import { word } from '@kelmot/core';
import { loggedBetween } from '../src/instruments/logged';
import { MISBEHAVIOURS, type Misbehaviour } from '../src/instruments/scene';
import { simulated } from '../src/instruments/simulated';

const logger = instrument('logger');
const AT = Date.parse('2026-11-24T08:00:00Z');
const HOUR = 3_600_000;
const SEEDS = Array.from({ length: 40 }, (_, i) => i * 101 + 1);
const TRUTH = [17.5, 17.1];

const logged = (seed: number, misbehaves: Misbehaviour | null, hours = 8): Sample[] =>
  loggedBetween({ truth: TRUTH, seed, misbehaves }, AT - hours * HOUR, AT);
const seenOf = (samples: Sample[], now = AT): InstrumentState =>
  judgeSamples(logger, { samples, now, expects: TRUTH, since: AT });
const FAULTS: Record<Misbehaviour, Fault> = {
  drift: 'drift',
  'drop-out': 'lost',
  stuck: 'stuck',
  'wrong-unit': 'unit',
};

test('a log is complete, near the truth, and never judged faulty while its sensors work', () => {
  for (const seed of SEEDS)
    for (const hours of [0.05, 0.5, 3, 30, 300]) {
      const samples = logged(seed, null, hours);
      expect(seenOf(samples).state).toBe('steady');
      expect(samples.length).toBeLessThanOrEqual(601);
      expect([samples[0]?.at, samples.every((s) => s.at <= AT)]).toEqual([AT - hours * HOUR, true]);
      const off = samples.flatMap(({ values }) =>
        values.map((v, i) => Math.abs(v - (TRUTH[i] as number))),
      );
      expect(Math.max(...off)).toBeLessThan(1.6);
    }
});

test.each(MISBEHAVIOURS)('%s is detected in a shift’s log and reported', (how) => {
  for (const seed of SEEDS) {
    const seen = seenOf(logged(seed, how));
    expect([seen.state, seen.fault]).toEqual(['fault', FAULTS[how]]);
  }
  expect(word(seenOf(logged(1, how)).say).length).toBeGreaterThan(30);
});

test('an empty log and one with a gap are reported', () => {
  expect(seenOf([]).fault).toBe('lost');
  const whole = logged(1, null);
  const holed = whole.filter(({ at }) => at < AT - 5 * HOUR || at > AT - 3 * HOUR);
  expect(word(seenOf(holed).say)).toMatch(/^No readings for 2 h/);
});

test('a good log says its number of readings and its duration', () => {
  const whole = logged(1, null, 3);
  expect(word(seenOf(whole).say)).toBe(`${whole.length} readings over 3 h.`);
});

test('everything since a moment arrives before it is open, oldest first', async () => {
  const heard: Sample[] = [];
  const driver = simulated(() => ({ truth: TRUTH, seed: 1, misbehaves: null }));
  const since = Date.now() - 2 * HOUR;
  const link = await driver.open(logger, (sample) => heard.push(sample), since);
  link.close();
  expect(heard[0]?.at).toBe(since);
  expect(heard.length).toBeGreaterThan(20);
  expect(heard.every((s, i) => i === 0 || s.at > (heard[i - 1] as Sample).at)).toBe(true);
});

test('two spots with a constant difference are fine; a change above 4 °C is a drift', () => {
  const whole = logged(1, null);
  /** The second spot warmer by `from` at the beginning, and by `to` at the end, °C. */
  const apart = (from: number, to: number) =>
    whole.map((s, i) => {
      const [one = 0, two = 0] = s.values;
      return { ...s, values: [one, two + from + ((to - from) * i) / (whole.length - 1)] };
    });
  expect(seenOf(apart(3, 3)).state).toBe('steady');
  expect(seenOf(apart(-3, -3)).state).toBe('steady');
  expect(seenOf(apart(1, -2)).state).toBe('steady');
  expect(seenOf(apart(3, -3)).fault).toBe('drift');
  expect(seenOf(apart(-3, 3)).fault).toBe('drift');
});
