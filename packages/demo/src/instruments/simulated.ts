import { mulberry32 } from '@kelmot/core/calc/random';
import type { Driver, Instrument, Sample } from '@kelmot/core/instruments/instrument';
import { fromBase, quantity } from '@kelmot/core/units/quantities';
import { loggedBetween } from './logged';
import type { Scene } from './scene';

/** Sending interval, ms: a stream by itself, a spot instrument as its probe moves. */
export const EVERY_MS = { stream: 400, spot: 800 } as const;
/** A probe covers two thirds of its way in this time, and a pour takes this long after a pause, ms. */
const SETTLES_MS = 1500;
const BEFORE_POUR_MS = 1000;
const POUR_MS = 6000;
/** When a fault begins, ms, or after so many readings. */
const FROM_MS = 4000;
const FROM_READING = 2;

/** For each channel: its noise, its start, its drift per second; spot: shares of the value. */
const STREAM: Record<string, { trembles: number; off: number; drift: number }> = {
  airC: { trembles: 0.03, off: 1, drift: 0.09 },
  rhPct: { trembles: 0.2, off: -4, drift: 0.4 },
  surfaceC: { trembles: 0.03, off: 3, drift: 0.09 },
  g: { trembles: 0.05, off: 0, drift: 0.2 },
};
const SPOT_TREMBLES = 0.03;
const SPOT_DRIFT = 0.05;
/** The precision of a person's pour, as a share. */
const POURS_TO = 0.004;

const between = (random: () => number): number => (random() - 0.5) * 2;

/**
 * The `n`th sample of a simulated instrument, from 0, `ms` after opening or tare; null if it sends nothing. The same
 * scene gives the same samples.
 */
export function sampleOf(
  device: Instrument,
  { truth, seed, misbehaves }: Scene,
  n: number,
  ms: number,
): Omit<Sample, 'at'> | null {
  const spot = device.mode === 'spot';
  const bad = spot ? n >= FROM_READING : ms >= FROM_MS;
  if (misbehaves === 'drop-out' && bad) return null;
  const frozen = misbehaves === 'stuck' && bad;
  const [nth, at] = frozen ? [FROM_READING, FROM_MS] : [n, ms];
  const values = device.channels.map((channel, i) => {
    const real = truth[i] ?? 0;
    const random = mulberry32(seed + nth * 31 + i * 7919);
    const drifts = misbehaves === 'drift';
    if (spot)
      return (
        real *
        (1 + between(random) * SPOT_TREMBLES * (drifts ? 0 : 1) + (drifts ? SPOT_DRIFT * nth : 0))
      );
    const { trembles, off, drift } = STREAM[channel.key] ?? { trembles: 0, off: 0, drift: 0 };
    const poured = Math.min(1, Math.max(0, (at - BEFORE_POUR_MS) / POUR_MS));
    const share = channel.quantity === 'mass' ? 1 - (1 - poured) ** 2 : 1;
    const err = channel.quantity === 'mass' ? between(mulberry32(seed + i)) * POURS_TO : 0;
    const near = off * Math.exp(-at / SETTLES_MS);
    return (
      real * share * (1 + err) +
      near +
      between(random) * trembles +
      (drifts ? (drift * at) / 1000 : 0)
    );
  });
  if (misbehaves !== 'wrong-unit') return { values, units: device.channels.map(() => '') };
  // Set to its other unit, but sent with the first.
  const other = device.channels.map(({ quantity: id }, i) => {
    const { units, show } = quantity(id);
    const us = units.find((u) => u.symbol === show.us);
    return us ? fromBase(values[i] as number, us) : (values[i] as number);
  });
  return { values: other, units: device.channels.map(() => '') };
}

/** A simulated instrument for a scene. `scene` is read again at each tare, counted from 0. */
export const simulated = (scene: (part: number) => Scene): Driver => ({
  name: 'simulated',
  open: (device, heard, since = Date.now()) => {
    if (device.mode === 'log') {
      loggedBetween(scene(0), since, Date.now()).forEach(heard);
      return Promise.resolve({ close: () => undefined });
    }
    let [part, n, from] = [0, 0, Date.now()];
    const timer = setInterval(() => {
      const at = Date.now();
      const sent = sampleOf(device, scene(part), n, at - from);
      n += 1;
      if (sent) heard({ at, ...sent });
    }, EVERY_MS[device.mode]);
    return Promise.resolve({
      close: () => clearInterval(timer),
      tare: () => {
        [part, n, from] = [part + 1, 0, Date.now()];
      },
    });
  },
});
