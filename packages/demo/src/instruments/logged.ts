import { mulberry32 } from '@kelmot/core/calc/random';
import type { Sample } from '@kelmot/core/instruments/instrument';
import type { Scene } from './scene';

/** Measuring interval, ms, and number of rows kept: with more, the oldest are thinned. */
const EVERY_MS = 5 * 60_000;
const MOST = 600;
/** Daily swing to each side, and noise of a sensor, °C; drift of a loose probe, °C per hour. */
const SWING_C = 1.5;
const TREMBLES_C = 0.05;
const DRIFT_C = 2;
/** The share of the log after which a fault begins. */
const FROM = 0.5;
const HOUR = 3_600_000;
/** The hour of the day, UTC, at which the stated temperature is reached, rising. */
const MEAN_AT = 9;

/**
 * The samples of a simulated logger between two moments, epoch ms, oldest first: each spot’s temperature by the hour.
 * The same scene gives the same samples.
 */
export function loggedBetween(
  { truth, seed, misbehaves }: Scene,
  from: number,
  to: number,
): Sample[] {
  const every = Math.max(EVERY_MS, (to - from) / MOST);
  const n = Math.max(0, Math.floor((to - from) / every));
  const samples = Array.from({ length: n + 1 }, (_, i): Sample => {
    const bad = i / Math.max(1, n) > FROM;
    const nth = misbehaves === 'stuck' && bad ? Math.ceil(n * FROM) : i;
    const at = from + nth * every;
    const swing = SWING_C * Math.sin((2 * Math.PI * (at / HOUR - MEAN_AT)) / 24);
    const values = truth.map((real, spot) => {
      const trembles = (mulberry32(seed + nth * 31 + spot * 7919)() - 0.5) * 2 * TREMBLES_C;
      const loose = misbehaves === 'drift' && bad && spot > 0;
      const off = loose ? (DRIFT_C * (at - from - (to - from) * FROM)) / HOUR : 0;
      return real + swing + trembles + off;
    });
    const sent = misbehaves === 'wrong-unit' ? values.map((v) => v * 1.8 + 32) : values;
    return { at: from + i * every, values: sent, units: truth.map(() => '') };
  });
  return misbehaves === 'drop-out' ? samples.filter((_, i) => i / Math.max(1, n) <= FROM) : samples;
}
