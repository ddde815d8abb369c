import { z } from 'zod';
import { defineCalc, fig, line, worked, type Report, type Worked } from '../calc/calc';
import { tempC } from '../calc/number';
import { mulberry32, normalQuantile } from '../calc/random';
import { CurePoints, cureRate } from './cureTime';

/** After thirty days nobody is waiting any more. */
const HORIZON_MIN = 43200;
const DAY_MIN = 1440;
/** A day is summed in cells this long; temperature over one is as good as straight. */
const CELL_MIN = 5;
const CELLS = DAY_MIN / CELL_MIN;
/** The warmest hour of a day is mid-afternoon: the wave crosses its mean at nine. */
const MEAN_HOUR = 9;
const CURVE_POINTS = 60;

export const ReadinessInput = z.strictObject({
  points: CurePoints,
  startAt: z.iso.datetime({
    offset: true,
    error: 'must be a time with its zone, such as 2031-05-06T07:00:00Z',
  }),
  deadlineMin: z.number().min(0).max(HORIZON_MIN),
  meanTempC: tempC(),
  sdTempC: z.number().min(0).max(50),
  dailySwingC: z.number().min(0).max(100),
  utcOffsetMin: z.number().min(-960).max(960).default(0),
  traces: z.int().min(1).max(1_000_000).default(2000),
  seed: z.int().min(-Number.MAX_SAFE_INTEGER).max(Number.MAX_SAFE_INTEGER),
});
export type ReadinessInput = z.output<typeof ReadinessInput>;
export interface Readiness {
  probability: number;
  p10Min: number | null;
  p50Min: number | null;
  p90Min: number | null;
  /** Chance of being done by each of a row of minutes, for drawing. */
  curve: { min: number; share: number }[];
}

/** Temperature above the mean at the start of each cell of the day that follows `startAt`, and at its end. */
function dayWave({ startAt, utcOffsetMin, dailySwingC }: ReadinessInput): number[] {
  const startMin = Date.parse(startAt) / 60_000 + utcOffsetMin;
  return Array.from({ length: CELLS + 1 }, (_, i) => {
    const hour = (startMin + i * CELL_MIN) / 60;
    return (dailySwingC / 2) * Math.sin((2 * Math.PI * (hour - MEAN_HOUR)) / 24);
  });
}

/** Minute at which a trace is done: whole days first, since every day gains the same, then the cell of the last. */
function doneAt(
  rate: (c: number) => number,
  wave: number[],
  baseC: number,
  sum: Float64Array,
): number | null {
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

/** Value at a share of a sorted row, straight between neighbours; null where it falls among those never done. */
function percentile(sorted: (number | null)[], share: number): number | null {
  const at = share * (sorted.length - 1);
  const low = sorted[Math.floor(at)] ?? null;
  const high = sorted[Math.ceil(at)] ?? null;
  return low === null || high === null ? null : low + (high - low) * (at % 1);
}

/**
 * Chance that a cure is done by a deadline, over day-and-night temperatures that are not known exactly: one draw a
 * trace for how far the forecast is off, stratified, from the generator mulberry32. Minutes from the start, °C.
 * Never refuses; percentiles are null where that share is not done in 30 days.
 */
export function readiness(input: ReadinessInput, report?: Report): Worked<Readiness> {
  const { points, deadlineMin, meanTempC, sdTempC, traces, seed } = input;
  const random = mulberry32(seed);
  const rate = cureRate(points);
  const wave = dayWave(input);
  const sum = new Float64Array(CELLS + 1);
  const all: (number | null)[] = [];
  for (let k = 0; k < traces; k++) {
    const u = Math.min(1 - 1e-12, Math.max(1e-12, (k + random()) / traces));
    all.push(doneAt(rate, wave, meanTempC + sdTempC * normalQuantile(u), sum));
    if (k % 64 === 63) report?.((k + 1) / traces);
  }
  const done = all.filter((t): t is number => t !== null).sort((p, q) => p - q);
  const sorted = [...done, ...new Array<null>(all.length - done.length).fill(null)];
  const inTime = done.filter((t) => t <= deadlineMin + 1e-9).length;
  const probability = inTime / traces;
  const [p10Min, p50Min, p90Min] = [0.1, 0.5, 0.9].map((p) => percentile(sorted, p)) as [
    number | null,
    number | null,
    number | null,
  ];
  const last = Math.max(deadlineMin, done[done.length - 1] ?? 0) * 1.05;
  const curve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
    const min = (last * i) / CURVE_POINTS;
    return { min, share: done.filter((t) => t <= min).length / traces };
  });
  const working = [
    line(
      'T(t)',
      'temperature of one trace',
      `${fig(meanTempC)} + e + ${fig(input.dailySwingC / 2)}·sin(2π(h − 9)/24)`,
      meanTempC,
      '°C',
      'forecast',
    ),
    line(
      'e',
      'how far off the forecast is, one draw a trace',
      `normal, spread ${fig(sdTempC)}; stratified, mulberry32 seed ${seed}`,
      sdTempC,
      'K',
      'forecast',
    ),
    line('t₁₀', 'one in ten is done by', `of ${traces} traces`, p10Min ?? 'over 30 days', 'min'),
    line('t₅₀', 'half are done by', `of ${traces} traces`, p50Min ?? 'over 30 days', 'min'),
    line('t₉₀', 'nine in ten are done by', `of ${traces} traces`, p90Min ?? 'over 30 days', 'min'),
    line(
      'P',
      `chance of being done in ${fig(deadlineMin)} min`,
      `${inTime}/${traces}`,
      probability,
      '',
      'cure-clock over each trace',
    ),
  ];
  return worked({ probability, p10Min, p50Min, p90Min, curve }, working);
}

export const readinessCalc = defineCalc({
  name: 'readiness',
  purpose: 'Chance that a cure is done by the deadline, over uncertain day and night temperatures.',
  input: ReadinessInput,
  heavy: true,
  run: readiness,
  formula: [
    'T(t) = mean + e + swing/2·sin(2π(h − 9)/24), h the local hour',
    'e_k = sd·Φ⁻¹((k + u_k)/N), u_k from mulberry32(seed)',
    'P = share of traces whose cure-clock is done by the deadline',
  ],
  source: 'Stratified sampling over cure-clock; the named seed makes it repeatable.',
  limits:
    'As good as the forecast’s mean and spread. One draw a trace: the error is taken as lasting all job long.',
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
