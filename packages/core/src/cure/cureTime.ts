import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  refuse,
  worked,
  type Answer,
  type WorkingLine,
} from '../calc/calc';
import { named } from '../calc/field';
import { kelvin, tempC } from '../calc/number';

export type CurePoint = { tempC: number; minutes: number };
export type CureBasis = 'data' | 'interpolated' | 'extrapolated' | 'assumed-q10';

/** How far beyond its data a card is used, °C: with two points or more, and with one. */
const REACH_C = { pair: 10, single: 20 };

const ARRHENIUS = t('Arrhenius: ln(minutes) linear in 1/K between the card’s points');
const Q10 = t('rule of thumb: twice as fast for each 10 °C; ask the supplier for a second point');

/** Measured times of one milestone: no temperature twice, and warmer is always faster. Any order. */
export const CurePoints = z
  .array(
    z.strictObject({
      tempC: tempC().meta(named(t('Temperature'), '°C')),
      minutes: z
        .number()
        .min(1e-6)
        .max(1e9)
        .meta(named(t('Minutes'), 'min')),
    }),
  )
  .min(1)
  .superRefine((points, ctx) => {
    const sorted = [...points].sort((p, q) => p.tempC - q.tempC);
    for (let i = 1; i < sorted.length; i++) {
      const colder = sorted[i - 1];
      const warmer = sorted[i];
      if (!colder || !warmer) continue;
      const at = points.indexOf(warmer);
      if (warmer.tempC === colder.tempC) {
        ctx.addIssue({
          code: 'custom',
          path: [at, 'tempC'],
          message: t('{temp} °C stands twice; give each temperature once', { temp: warmer.tempC }),
        });
      } else if (warmer.minutes >= colder.minutes) {
        ctx.addIssue({
          code: 'custom',
          path: [at, 'minutes'],
          message: t('must be under {minutes}, the time at {temp} °C: warmer is faster', {
            minutes: colder.minutes,
            temp: colder.tempC,
          }),
        });
      }
    }
  });

export const CureTimeInput = z.strictObject({
  points: CurePoints.meta(named(t('Card’s cure points'))),
  tempC: tempC().meta(named(t('Temperature'), '°C')),
});
export type CureTimeInput = z.infer<typeof CureTimeInput>;
export interface CureTime {
  minutes: number;
  basis: CureBasis;
}

const rising = (points: CurePoint[]): boolean =>
  points.every((p, i) => i === 0 || (points[i - 1] as CurePoint).tempC < p.tempC);

/** Points from cold to warm; the same array if it is sorted. */
const sortByTemp = (points: CurePoint[]): CurePoint[] =>
  rising(points) ? points : [...points].sort((p, q) => p.tempC - q.tempC);

interface Reading {
  minutes: number;
  basis: CureBasis;
  pair?: [CurePoint, CurePoint];
}

/** The time at a temperature, without a limit on extrapolation. Points sorted by temperature. */
function readCurve(sorted: CurePoint[], at: number): Reading {
  const first = sorted[0] as CurePoint;
  const last = sorted[sorted.length - 1] as CurePoint;
  if (sorted.length === 1) {
    const basis = at === first.tempC ? 'data' : 'assumed-q10';
    return { minutes: first.minutes * 2 ** ((first.tempC - at) / 10), basis };
  }
  const exact = sorted.find((p) => p.tempC === at);
  if (exact) return { minutes: exact.minutes, basis: 'data' };
  const above = sorted.findIndex((p) => p.tempC > at);
  const hi = above === -1 ? sorted.length - 1 : Math.max(above, 1);
  const colder = sorted[hi - 1] as CurePoint;
  const warmer = sorted[hi] as CurePoint;
  const x = 1 / kelvin(at);
  const x0 = 1 / kelvin(colder.tempC);
  const x1 = 1 / kelvin(warmer.tempC);
  const y0 = Math.log(colder.minutes);
  const y1 = Math.log(warmer.minutes);
  const minutes = Math.exp(y0 + ((y1 - y0) * (x - x0)) / (x1 - x0));
  const outside = at < first.tempC || at > last.tempC;
  return { minutes, basis: outside ? 'extrapolated' : 'interpolated', pair: [colder, warmer] };
}

/** The range of temperatures that a set of points covers, in °C. */
export function curveReach(points: CurePoint[]): { fromC: number; toC: number } {
  const temps = points.map((p) => p.tempC);
  const reach = points.length === 1 ? REACH_C.single : REACH_C.pair;
  return { fromC: Math.min(...temps) - reach, toC: Math.max(...temps) + reach };
}

/**
 * Minutes to a cure milestone at a constant temperature in °C, from a card's measured points. At a point its value;
 * between two, Arrhenius; outside, the nearest pair extrapolated for at most 10 °C. A single point doubles or halves
 * every 10 °C, for at most 20 °C. Refuses beyond that.
 */
export function cureTime({ points, tempC: at }: CureTimeInput): Answer<CureTime> {
  const sorted = sortByTemp(points);
  const { fromC, toC } = curveReach(points);
  if (at < fromC || at > toC) {
    return refuse(
      t('{at} °C is outside {from} to {to} °C, the range the card’s data can answer for.', {
        at: formatFigure(at),
        from: formatFigure(fromC),
        to: formatFigure(toC),
      }),
    );
  }
  const reading = readCurve(sorted, at);
  const { minutes, basis } = reading;
  return worked({ minutes, basis }, () => workingOf(reading, sorted[0] as CurePoint, at));
}

/** The working of one reading of the curve. */
function workingOf({ minutes, basis, pair }: Reading, first: CurePoint, at: number): WorkingLine[] {
  const working: WorkingLine[] = [
    line({
      symbol: 'T',
      label: t('temperature'),
      expression: formatFigure(at),
      value: at,
      unit: '°C',
      source: 'reading',
    }),
  ];
  if (pair) {
    const [colder, warmer] = pair;
    working.push(
      line({
        symbol: 't₁',
        label: t('card at {temp} °C', { temp: formatFigure(colder.tempC) }),
        expression: formatFigure(colder.minutes),
        value: colder.minutes,
        unit: 'min',
        source: 'card',
      }),
      line({
        symbol: 't₂',
        label: t('card at {temp} °C', { temp: formatFigure(warmer.tempC) }),
        expression: formatFigure(warmer.minutes),
        value: warmer.minutes,
        unit: 'min',
        source: 'card',
      }),
    );
  }
  const expression = pair
    ? t('exp(ln t₁ + (ln t₂ − ln t₁)·(1/T − 1/T₁)/(1/T₂ − 1/T₁)), in kelvin')
    : basis === 'data'
      ? t('as on the card')
      : `${formatFigure(first.minutes)}·2^((${formatFigure(first.tempC)} − ${formatFigure(at)})/10)`;
  const source = pair ? ARRHENIUS : basis === 'data' ? 'card' : Q10;
  working.push(
    line({
      symbol: 't',
      label: t('time, {basis}', { basis }),
      expression,
      value: minutes,
      unit: 'min',
      source,
    }),
  );
  return working;
}

/** One piece of the curve as numbers: ln(minutes) = y + slope·(1/K − x), valid up to `toC`. */
interface Piece {
  toC: number;
  x: number;
  y: number;
  slope: number;
}

function piecesOf(sorted: CurePoint[]): Piece[] {
  return sorted.slice(1).map((warmer, i) => {
    const colder = sorted[i] as CurePoint;
    const [x, y] = [1 / kelvin(colder.tempC), Math.log(colder.minutes)];
    const slope = (Math.log(warmer.minutes) - y) / (1 / kelvin(warmer.tempC) - x);
    return { toC: warmer.tempC, x, y, slope };
  });
}

/**
 * Rate of progress towards a milestone per minute at °C: 0 below the card's range, constant above it. The curve is
 * prepared once, because an integral evaluates it thousands of times.
 */
export function cureRate(points: CurePoint[]): (tempC: number) => number {
  const sorted = sortByTemp(points);
  const { fromC, toC } = curveReach(points);
  const first = sorted[0] as CurePoint;
  const pieces = piecesOf(sorted);
  const last = pieces[pieces.length - 1];
  return (at) => {
    if (at < fromC) return 0;
    const held = Math.min(at, toC);
    if (!last) return 2 ** ((held - first.tempC) / 10) / first.minutes;
    let piece = last;
    for (const p of pieces) {
      if (held <= p.toC) {
        piece = p;
        break;
      }
    }
    return Math.exp(-(piece.y + piece.slope * (1 / kelvin(held) - piece.x)));
  };
}

export const cureTimeCalc = defineCalc({
  name: 'cure-time',
  purpose: t('Minutes to a cure milestone at a steady temperature.'),
  input: CureTimeInput,
  run: cureTime,
  result: { minutes: named(t('Minutes'), 'min'), basis: named(t('Basis')) },
  formula: [
    t('t = exp(ln t₁ + (ln t₂ − ln t₁)·(1/T − 1/T₁)/(1/T₂ − 1/T₁)), T in kelvin'),
    t('one point only: t = t₁·2^((T₁ − T)/10)'),
  ],
  source: t(
    'Arrhenius between the card’s measured points; a rule of thumb where there is only one.',
  ),
  limits: t(
    'At most 10 °C outside the card’s points (20 °C from a single one): past that there is no answer.',
  ),
  example: {
    points: [
      { tempC: 10, minutes: 1440 },
      { tempC: 20, minutes: 720 },
      { tempC: 30, minutes: 380 },
    ],
    tempC: 16,
  },
});
