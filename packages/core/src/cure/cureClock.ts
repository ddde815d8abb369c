import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Report, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { crossings, gauss5 } from '../calc/quadrature';
import { CurePoints, cureRate, curveReach, type CurePoint } from './cureTime';
import { historyOf } from './history';

export const CureClockInput = z.strictObject({
  points: CurePoints.meta(named(t('Card’s cure points'))),
  history: historyOf('atMin', named(t('Minute'), 'min'), 1e7).meta(named(t('Temperatures it saw'))),
  horizonMin: z
    .number()
    .gt(0)
    .max(1e7)
    .default(43200)
    .meta(named(t('Look ahead'), 'min')),
});
export type CureClockInput = z.output<typeof CureClockInput>;
export interface CureClock {
  progress: number;
  doneAtMin: number | null;
  remainingMin: number | null;
  outOfRange?: true;
}

/** A period in which the rate is smooth and changes at most by a factor e, and the cure that it adds. */
interface Stretch {
  from: number;
  to: number;
  rate: (min: number) => number;
  gain: number;
}

/** Splits a temperature history at the card's points and limits, and further where the rate is steep. */
function stretchesOf({ points, history }: Pick<CureClockInput, 'points' | 'history'>): Stretch[] {
  const at = cureRate(points);
  const { fromC, toC } = curveReach(points);
  const kinks = [fromC, toC, ...points.map((p) => p.tempC)];
  return history.slice(1).flatMap((end, i) => {
    const start = history[i] as (typeof history)[number];
    const slope = (end.tempC - start.tempC) / (end.atMin - start.atMin);
    const rate = (min: number) => at(start.tempC + slope * (min - start.atMin));
    const cuts = [
      start.atMin,
      ...crossings({
        x0: start.atMin,
        y0: start.tempC,
        x1: end.atMin,
        y1: end.tempC,
        heights: kinks,
      }),
      end.atMin,
    ];
    return cuts.slice(1).flatMap((b, k): Stretch[] => {
      const a = cuts[k] as number;
      // Just inside the ends, because the rate jumps to zero at the cold limit.
      const inset = (b - a) * 1e-9;
      const [ra, rb] = [rate(a + inset), rate(b - inset)];
      const steep = ra > 0 && rb > 0 ? Math.abs(Math.log(rb / ra)) : 0;
      const n = Math.min(200, Math.max(1, Math.ceil(steep)));
      return Array.from({ length: n }, (_, j) => {
        const from = a + ((b - a) * j) / n;
        const to = a + ((b - a) * (j + 1)) / n;
        return { from, to, rate, gain: gauss5(rate, from, to) };
      });
    });
  });
}

/** The moment in a period at which the cure has gained `wanted`, by bisection. */
function momentIn({ from, to, rate }: Stretch, wanted: number): number {
  let [lo, hi] = [from, to];
  for (let i = 0; i < 60 && hi - lo > 1e-9 * Math.max(1, Math.abs(hi)); i++) {
    const mid = (lo + hi) / 2;
    if (gauss5(rate, from, mid) < wanted) lo = mid;
    else hi = mid;
  }
  return hi;
}

function passedOut(points: CurePoint[], temps: number[]): boolean {
  const { fromC, toC } = curveReach(points);
  return temps.some((t) => t < fromC || t > toC);
}

/**
 * How far a cure has come over a temperature history, and when it is done. History in minutes and °C, linear between
 * entries, the last one continuing. Below the card's range nothing cures; above it the limit counts; `outOfRange`
 * reports either. Progress may exceed 1. Never refuses; null if it is never done.
 */
export function cureClock(input: CureClockInput, report?: Report): Worked<CureClock> {
  const { points, history, horizonMin } = input;
  const last = history[history.length - 1] as (typeof history)[number];
  const stretches = stretchesOf(input);
  let progress = 0;
  let doneAt: number | null = null;
  for (const [i, stretch] of stretches.entries()) {
    if (doneAt === null && progress < 1 && progress + stretch.gain >= 1)
      doneAt = momentIn(stretch, 1 - progress);
    progress += stretch.gain;
    report?.((i + 1) / stretches.length);
  }
  const holdRate = cureRate(points)(last.tempC);
  if (doneAt === null && holdRate > 0) doneAt = last.atMin + Math.max(0, 1 - progress) / holdRate;
  const doneAtMin = doneAt !== null && doneAt <= horizonMin ? doneAt : null;
  const remainingMin = doneAtMin === null ? null : Math.max(0, doneAtMin - last.atMin);
  const outOfRange = passedOut(
    points,
    history.map((h) => h.tempC),
  );
  const working = [
    line({
      symbol: 'T',
      label: t('last temperature, held from then on'),
      expression: formatFigure(last.tempC),
      value: last.tempC,
      unit: '°C',
      source: 'reading',
    }),
    line({
      symbol: '1/t',
      label: t('rate at it'),
      expression: t('one over the card’s time'),
      value: holdRate,
      unit: '1/min',
      source: 'card',
    }),
    line({
      symbol: 'te',
      label: t('done at'),
      expression:
        doneAtMin === null
          ? t('not before the horizon')
          : t('{at} + (1 − a)·t, or when a passed 1', { at: formatFigure(last.atMin) }),
      value: doneAtMin ?? 'never',
      unit: 'min',
    }),
    line({
      symbol: 'tr',
      label: t('still to go'),
      expression: t('te − now, not below 0'),
      value: remainingMin ?? 'never',
      unit: 'min',
    }),
    line({
      symbol: 'a',
      label: t('share of the cure done'),
      expression: `∫ dt/t(T) over ${history.length} readings`,
      value: progress,
      unit: '',
      source: t('rate is one over cure-time'),
    }),
  ];
  return worked(
    { progress, doneAtMin, remainingMin, ...(outOfRange && { outOfRange: true as const }) },
    working,
  );
}

export const cureClockCalc = defineCalc({
  name: 'cure-clock',
  purpose: t('How far a cure has come over the temperatures it saw, and when it is done.'),
  input: CureClockInput,
  run: cureClock,
  result: {
    progress: named(t('Share of the cure done'), 'share'),
    doneAtMin: named(t('Done at'), 'min'),
    remainingMin: named(t('Still to go'), 'min'),
  },
  headline: 'doneAtMin',
  formula: [
    t('a = ∫ dt/t(T), T straight between readings'),
    t('done when a = 1; the last temperature is held'),
  ],
  source: t('Rate as one over the card’s time, Arrhenius between its points.'),
  limits: t(
    'Below the card’s reach nothing is gained; above it the rate stays at the limit, and the answer says so. The repair’s own temperature counts, not the air’s.',
  ),
  example: {
    points: [
      { tempC: 5, minutes: 1608 },
      { tempC: 20, minutes: 637 },
      { tempC: 35, minutes: 202 },
    ],
    history: [
      { atMin: 0, tempC: 21 },
      { atMin: 120, tempC: 17 },
      { atMin: 300, tempC: 12.5 },
    ],
  },
});
