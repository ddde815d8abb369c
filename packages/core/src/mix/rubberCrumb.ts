import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive, wastePct } from '../calc/number';

export const RubberCrumbInput = z.strictObject({
  volumeL: positive().meta(named('Volume to fill', 'l')),
  bulkDensityKgL: positive().meta(named('Bulk density', 'g/ml')),
  compaction: z.number().min(0.1).max(10).meta(named('Compaction')),
  binderPct: z.number().min(0).max(100).meta(named('Binder', '%')),
  primerShare: z.number().min(0).max(1).meta(named('Primer, share of binder')),
  wastePct: wastePct().default(0).meta(named('Waste', '%')),
});
export type RubberCrumbInput = z.output<typeof RubberCrumbInput>;
export interface RubberCrumb {
  granulesKg: number;
  binderKg: number;
  primerKg: number;
  mixBinderKg: number;
}

/**
 * Granules and binder of a crumb layer, kg, for a finished volume in litres; part of the binder primes the edges. Never
 * refuses.
 */
export function rubberCrumb(input: RubberCrumbInput): Worked<RubberCrumb> {
  const { volumeL, bulkDensityKgL, compaction, binderPct, primerShare, wastePct } = input;
  const granulesKg = volumeL * (1 + wastePct / 100) * bulkDensityKgL * compaction;
  const binderKg = (granulesKg * binderPct) / 100;
  const primerKg = binderKg * primerShare;
  const mixBinderKg = binderKg - primerKg;
  const working = [
    line('B', 'binder in all', `G·${formatFigure(binderPct)} %`, binderKg, 'kg', 'card'),
    line(
      'Bp',
      'of it to prime the edges',
      `${formatFigure(binderKg)}·${formatFigure(primerShare)}`,
      primerKg,
      'kg',
      'card',
    ),
    line(
      'Bm',
      'of it into the granules',
      `${formatFigure(binderKg)} − ${formatFigure(primerKg)}`,
      mixBinderKg,
      'kg',
    ),
    line(
      'G',
      'granules',
      `${formatFigure(volumeL)}·(1 + ${formatFigure(wastePct)} %)·${formatFigure(bulkDensityKgL)}·${formatFigure(compaction)}`,
      granulesKg,
      'kg',
      'card',
    ),
  ];
  return worked({ granulesKg, binderKg, primerKg, mixBinderKg }, working);
}

export const rubberCrumbCalc = defineCalc({
  name: 'rubber-crumb',
  purpose: 'Granules and binder of a rubber crumb bed.',
  input: RubberCrumbInput,
  run: rubberCrumb,
  result: {
    granulesKg: named('Granules', 'kg'),
    binderKg: named('Binder', 'kg'),
    primerKg: named('Primer', 'kg'),
    mixBinderKg: named('Binder to mix', 'kg'),
  },
  formula: [
    'G = V·(1 + waste)·bulk·compaction',
    'B = G·binder; primer = B·share; the rest into the granules',
  ],
  source: 'Bulk density, binder share and compaction from the card.',
  limits: 'A dry day: moisture makes the binder foam.',
  example: {
    volumeL: 25.8,
    bulkDensityKgL: 0.54,
    compaction: 1.08,
    binderPct: 16.7,
    primerShare: 0.09,
  },
});
