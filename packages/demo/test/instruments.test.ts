import { INSTRUMENTS, instrument, type Sample } from '@kelmot/core/instruments/instrument';
import type { Fault, InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { judgeSamples } from '@kelmot/core/instruments/judgeSamples';
import { formatQuantity } from '@kelmot/core';
import { MISBEHAVIOURS, type Misbehaviour, type Scene } from '../src/instruments/scene';
import { EVERY_MS, sampleOf } from '../src/instruments/simulated';

/** The scene of each instrument, as a plan expects it. */
const SCENES = {
  hygrometer: [19, 62, 17.5],
  thickness: [4],
  film: [80],
  durometer: [82],
  scale: [412],
} as const;
const AT = Date.parse('2026-11-24T08:00:00Z');
const SEEDS = Array.from({ length: 40 }, (_, i) => i * 101 + 1);

type Id = keyof typeof SCENES;
const sceneOf = (id: Id, seed: number, misbehaves: Misbehaviour | null): Scene => ({
  truth: SCENES[id],
  seed,
  misbehaves,
});

/** The judgement of it at each moment during `ms`, at its sending interval. */
function watched(id: Id, scene: Scene, ms: number): InstrumentState[] {
  const device = instrument(id);
  const every = EVERY_MS[device.mode === 'spot' ? 'spot' : 'stream'];
  const samples: Sample[] = [];
  return Array.from({ length: Math.floor(ms / every) }, (_, n) => {
    const at = AT + (n + 1) * every;
    const sent = sampleOf(device, scene, n, at - AT);
    if (sent) samples.push({ at, ...sent });
    return judgeSamples(device, { samples, now: at, expects: SCENES[id], since: AT });
  });
}

const SHOWS: Record<Misbehaviour, Fault> = {
  drift: 'drift',
  'drop-out': 'lost',
  stuck: 'stuck',
  'wrong-unit': 'unit',
};
/** An instrument with only one unit cannot be set to another. */
const hasUnits = (id: Id) => id !== 'durometer';

/** Instruments that are watched while they measure; logs are tested separately. */
const LIVE = Object.keys(SCENES) as Id[];

test('every instrument is tested here or as a log', () => {
  expect(INSTRUMENTS.filter((id) => instrument(id).mode !== 'log')).toEqual(LIVE);
});

describe.each(LIVE)('the simulated %s', (id) => {
  test('settles on the true value, and is never judged faulty while it works', () => {
    for (const seed of SEEDS) {
      const seen = watched(id, sceneOf(id, seed, null), 14_000);
      expect(seen.filter((w) => w.state === 'fault').map((w) => w.say)).toEqual([]);
      const last = seen.at(-1) as InstrumentState;
      expect(last.state).toBe('steady');
      const device = instrument(id);
      device.channels.forEach((_, i) => {
        const real = SCENES[id][i] as number;
        const near = device.mode === 'spot' ? 0.035 * real : Math.max(0.3, 0.005 * real);
        const shown = device.mode === 'spot' ? last.values : [last.values[i] as number];
        for (const value of shown) expect(Math.abs(value - real)).toBeLessThan(near);
      });
    }
  });

  test.each(MISBEHAVIOURS.filter((how) => how !== 'wrong-unit' || hasUnits(id)))(
    '%s is detected, reported, and never judged steady once it shows',
    (how) => {
      for (const seed of SEEDS) {
        const seen = watched(id, sceneOf(id, seed, how), 32_000);
        const first = seen.findIndex((w) => w.state === 'fault');
        expect(seen[first]?.fault).toBe(SHOWS[how]);
        expect(seen.slice(first).every((w) => w.state === 'fault')).toBe(true);
        expect(seen[first]?.say.text.length).toBeGreaterThan(20);
      }
    },
  );
});

test('a drift is never steady, from its first moment on', () => {
  for (const seed of SEEDS)
    for (const id of ['hygrometer', 'scale'] as const) {
      const states = watched(id, sceneOf(id, seed, 'drift'), 32_000).map((w) => w.state);
      expect(states).not.toContain('steady');
    }
});

test('a stated unit is converted; an unknown one is a fault with its name', () => {
  const device = instrument('hygrometer');
  const sent = (units: string[], values: number[]): InstrumentState =>
    judgeSamples(device, {
      samples: [{ at: AT, values, units }],
      now: AT,
      expects: SCENES.hygrometer,
      since: AT,
    });
  expect(
    sent(['°F', '', '°F'], [66.2, 62, 63.5]).values.map((v) => Math.round(v * 10) / 10),
  ).toEqual([19, 62, 17.5]);
  const strange = sent(['°F', '', '°R'], [66.2, 62, 523]);
  expect([strange.fault, strange.say.values.unit]).toEqual(['unit', '°R']);
});

test('impossible values are rejected, and so is a scale in ounces that says grams', () => {
  const scale = instrument('scale');
  const still = (g: number): Sample[] =>
    Array.from({ length: 20 }, (_, n) => ({
      at: AT + n * 400,
      values: [g + (n % 3) * 0.01],
      units: [''],
    }));
  const seen = (g: number) =>
    judgeSamples(scale, { samples: still(g), now: AT + 19 * 400, expects: [412], since: AT });
  expect(seen(70_000).fault).toBe('reach');
  expect(seen(14.53).say.values.unit).toBe('oz');
  expect(seen(412).state).toBe('steady');
  expect(seen(300).state).toBe('steady');
  expect(formatQuantity(seen(412).values[0] as number, 'mass')).toBe('412 g');
});

test('no value yet is awaited, and after its time counts as lost', () => {
  const device = instrument('thickness');
  expect(judgeSamples(device, { samples: [], now: AT + 1000, expects: [4], since: AT }).state).toBe(
    'waiting',
  );
  expect(
    judgeSamples(device, { samples: [], now: AT + device.silentMs + 1, expects: [4], since: AT })
      .fault,
  ).toBe('lost');
});

test('four places that each rise equally are a drift; three are not', () => {
  const device = instrument('durometer');
  const [real] = SCENES.durometer;
  const units = sampleOf(device, sceneOf('durometer', 1, null), 0, 0)?.units ?? [];
  const taken = (...shares: number[]): InstrumentState => {
    const samples = shares.map((share, i) => ({ at: AT + i, values: [real * share], units }));
    return judgeSamples(device, { samples, now: AT + shares.length, expects: [real], since: AT });
  };
  expect(taken(0.8, 0.9, 1).state).toBe('steady');
  expect(taken(0.85, 0.9, 0.95, 1).fault).toBe('drift');
  expect(taken(1, 0.95, 0.9, 0.85).fault).toBe('drift');
  expect(taken(0.95, 0.97, 0.99, 1.01).state).toBe('steady');
  expect(taken(0.85, 0.94, 0.95, 1.03).state).toBe('steady');
});
