import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  worked,
  type Report,
  type Worked,
  type WorkingLine,
} from '../calc/calc';
import { named } from '../calc/field';
import { tempC } from '../calc/number';
import { mulberry32, normalQuantile } from '../calc/random';
import { MINUTE } from '../units/clock';
import { CurePoints, cureRate } from './cureTime';

/** Longest time considered: thirty days. */
const HORIZON_MIN = 43200;
const DAY_MIN = 1440;
/** A day is summed in intervals of this length; temperature is nearly linear within one. */
const CELL_MIN = 5;
const CELLS = DAY_MIN / CELL_MIN;
/** The warmest hour is mid-afternoon: the temperature wave crosses its mean at nine. */
const MEAN_HOUR = 9;
const CURVE_POINTS = 60;

export const ReadinessInput = z.strictObject({
  points: CurePoints.meta(named(t('Card’s cure points'))),
  startAt: z.iso
    .datetime({
      offset: true,
      error: t('must be a time with its zone, such as 2031-05-06T07:00:00Z'),
    })
    .meta(named(t('Mixed at'))),
  deadlineMin: z
    .number()
    .min(0)
    .max(HORIZON_MIN)
    .meta(named(t('Deadline'), 'min')),
  meanTempC: tempC().meta(named(t('Mean of the forecast'), '°C')),
  sdTempC: z
    .number()
    .min(0)
    .max(50)
    .meta(named(t('Spread of the forecast'), 'K')),
  dailySwingC: z
    .number()
    .min(0)
    .max(100)
    .meta(named(t('Day to night swing'), 'K')),
  utcOffsetMin: z
    .number()
    .min(-960)
    .max(960)
    .default(0)
    .meta(named(t('Local time ahead of UTC'), 'min')),
  traces: z
    .int()
    .min(1)
    .max(1_000_000)
    .default(2000)
    .meta(named(t('Traces'))),
  seed: z
    .int()
    .min(-Number.MAX_SAFE_INTEGER)
    .max(Number.MAX_SAFE_INTEGER)
    .meta(named(t('Seed'))),
});
export type ReadinessInput = z.output<typeof ReadinessInput>;
export interface Readiness {
  probability: number;
  p10Min: number | null;
  p50Min: number | null;
  p90Min: number | null;
  /** Chance of being ready at each of a row of minutes, for drawing. */
  curve: { min: number; share: number }[];
}

/** Without the curve, which only the drawing needs. */
type Chance = Omit<Readiness, 'curve'>;

/** Temperature above the mean at the start of each interval of the day after `startAt`, and at its end. */
function dayWave({ startAt, utcOffsetMin, dailySwingC }: ReadinessInput): number[] {
  const startMin = Date.parse(startAt) / MINUTE + utcOffsetMin;
  return Array.from({ length: CELLS + 1 }, (_, i) => {
    const hour = (startMin + i * CELL_MIN) / 60;
    return (dailySwingC / 2) * Math.sin((2 * Math.PI * (hour - MEAN_HOUR)) / 24);
  });
}

/**
 * The minute at which a trace is ready: whole days first, because every day adds the same, then the interval within the
 * last day.
 */
function doneAt({
  rate,
  wave,
  baseC,
  sum,
}: {
  rate: (c: number) => number;
  wave: number[];
  baseC: number;
  sum: Float64Array;
}): number | null {
  let before = rate(baseC + (wave[0] as number));
  sum[0] = 0;
  for (let i = 1; i <= CELLS; i++) {
    const now = rate(baseC + (wave[i] as number));
    sum[i] = (sum[i - 1] as number) + ((before + now) / 2) * CELL_MIN;
    before = now;
    if ((sum[i] as number) >= 1) return inCell(sum, i, 1);
  }
  const perDay = sum[CELLS] as number;
  if (perDay * (HORIZON_MIN / DAY_MIN) < 1) return null;
  const days = Math.floor(1 / perDay);
  const rest = 1 - days * perDay;
  const cell = sum.findIndex((s, i) => i > 0 && s >= rest);
  return days * DAY_MIN + inCell(sum, cell, rest);
}

function inCell(sum: Float64Array, i: number, wanted: number): number {
  const [lo, hi] = [sum[i - 1] as number, sum[i] as number];
  return CELL_MIN * (i - 1 + (hi > lo ? (wanted - lo) / (hi - lo) : 0));
}

/** The ready time of a trace by its number, the coldest first: the warmer, the sooner. Computed on request. */
function tracesOf(input: ReadinessInput): (k: number) => number | null {
  const { points, meanTempC, sdTempC, dailySwingC, traces, seed } = input;
  const draws = Float64Array.from({ length: traces }, mulberry32(seed));
  const rate = cureRate(points);
  const wave = dayWave(input);
  const sum = new Float64Array(CELLS + 1);
  return (k) => {
    const u = Math.min(1 - 1e-12, Math.max(1e-12, (k + (draws[k] as number)) / traces));
    const baseC = meanTempC + sdTempC * normalQuantile(u);
    if (dailySwingC > 0) return doneAt({ rate, wave, baseC, sum });
    const steady = 1 / rate(baseC);
    return steady <= HORIZON_MIN ? steady : null;
  };
}

const inTime = (minutes: number | null, deadlineMin: number): boolean =>
  minutes !== null && minutes <= deadlineMin + 1e-9;

/** The share of traces that are in time, and three percentiles, with the working. */
function chance(
  input: ReadinessInput,
  traceAt: (k: number) => number | null,
  done: number,
): { found: Chance; working: WorkingLine[] } {
  const { deadlineMin, meanTempC, sdTempC, traces, seed } = input;
  /** Linear between neighbours; null if it falls among traces that are never ready. */
  const percentile = (share: number): number | null => {
    const at = share * (traces - 1);
    const low = traceAt(traces - 1 - Math.floor(at));
    const high = traceAt(traces - 1 - Math.ceil(at));
    return low === null || high === null ? null : low + (high - low) * (at % 1);
  };
  const probability = done / traces;
  const [p10Min, p50Min, p90Min] = [percentile(0.1), percentile(0.5), percentile(0.9)];
  const working = [
    line({
      symbol: 'T(t)',
      label: t('temperature of one trace'),
      expression: `${formatFigure(meanTempC)} + e + ${formatFigure(input.dailySwingC / 2)}·sin(2π(h − 9)/24)`,
      value: meanTempC,
      unit: '°C',
      source: 'forecast',
    }),
    line({
      symbol: 'e',
      label: t('how far off the forecast is, one draw a trace'),
      expression: t('normal, spread {sdTemp}; stratified, mulberry32 seed {seed}', {
        sdTemp: formatFigure(sdTempC),
        seed,
      }),
      value: sdTempC,
      unit: 'K',
      source: 'forecast',
    }),
    line({
      symbol: 't₁₀',
      label: t('one in ten is done by'),
      expression: `of ${traces} traces`,
      value: p10Min ?? 'over 30 days',
      unit: 'min',
    }),
    line({
      symbol: 't₅₀',
      label: t('half are done by'),
      expression: `of ${traces} traces`,
      value: p50Min ?? 'over 30 days',
      unit: 'min',
    }),
    line({
      symbol: 't₉₀',
      label: t('nine in ten are done by'),
      expression: `of ${traces} traces`,
      value: p90Min ?? 'over 30 days',
      unit: 'min',
    }),
    line({
      symbol: 'P',
      label: t('chance of being done in {deadline} min', { deadline: formatFigure(deadlineMin) }),
      expression: `${done}/${traces}`,
      value: probability,
      unit: '',
      source: t('cure-clock over each trace'),
    }),
  ];
  return { found: { probability, p10Min, p50Min, p90Min }, working };
}

/**
 * Chance that a cure is done by a deadline, for uncertain day and night temperatures: one stratified draw of the
 * forecast error for each trace, from the generator mulberry32. Minutes from the start, °C. Never refuses; a percentile
 * is null if it is not done within 30 days.
 */
export function readiness(input: ReadinessInput, report?: Report): Worked<Readiness> {
  const { deadlineMin, traces } = input;
  const traceAt = tracesOf(input);
  const all = Array.from({ length: traces }, (_, k) => {
    if (k % 64 === 63) report?.((k + 1) / traces);
    return traceAt(k);
  });
  const done = all.filter((t): t is number => t !== null);
  const last = Math.max(deadlineMin, ...done.slice(0, 1)) * 1.05;
  const curve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
    const min = (last * i) / CURVE_POINTS;
    return { min, share: done.filter((t) => t <= min).length / traces };
  });
  const count = all.filter((t) => inTime(t, deadlineMin)).length;
  const { found, working } = chance(input, (k) => all[k] ?? null, count);
  return worked({ ...found, curve }, working);
}

/** The same chance without its curve: only as many traces as needed are computed. */
export function chanceOfReady(input: ReadinessInput): Worked<Chance> {
  const traceAt = tracesOf(input);
  let [late, done] = [-1, input.traces];
  while (done - late > 1) {
    const mid = (late + done) >> 1;
    if (inTime(traceAt(mid), input.deadlineMin)) done = mid;
    else late = mid;
  }
  const { found, working } = chance(input, traceAt, input.traces - done);
  return worked(found, working);
}

export const readinessCalc = defineCalc({
  name: 'readiness',
  purpose: t(
    'Chance that a cure is done by the deadline, over uncertain day and night temperatures.',
  ),
  input: ReadinessInput,
  heavy: true,
  run: readiness,
  result: {
    probability: named(t('Chance of being done'), 'share'),
    p10Min: named(t('One in ten by'), 'min'),
    p50Min: named(t('Half by'), 'min'),
    p90Min: named(t('Nine in ten by'), 'min'),
    curve: null,
  },
  formula: [
    t('T(t) = mean + e + swing/2·sin(2π(h − 9)/24), h the local hour'),
    t('e_k = sd·Φ⁻¹((k + u_k)/N), u_k from mulberry32(seed)'),
    t('P = share of traces whose cure-clock is done by the deadline'),
  ],
  source: t('Stratified sampling over cure-clock; the named seed makes it repeatable.'),
  limits: t(
    'As good as the forecast’s mean and spread. One draw a trace: the error is taken as lasting all job long.',
  ),
  example: {
    points: [
      { tempC: 10, minutes: 1924 },
      { tempC: 20, minutes: 694 },
      { tempC: 30, minutes: 294 },
    ],
    startAt: '2031-10-11T18:30:00.000Z',
    deadlineMin: 605,
    meanTempC: 22.4,
    sdTempC: 1.8,
    dailySwingC: 4.4,
    traces: 2000,
    seed: 462,
  },
});
