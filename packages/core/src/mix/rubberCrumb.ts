import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive, wastePct } from '../calc/number';

export const RubberCrumbInput = z.strictObject({
  volumeL: positive().meta(named(t('Volume to fill'), 'l')),
  bulkDensityKgL: positive().meta(named(t('Bulk density'), 'g/ml')),
  compaction: z
    .number()
    .min(0.1)
    .max(10)
    .meta(named(t('Compaction'))),
  binderPct: z
    .number()
    .min(0)
    .max(100)
    .meta(named(t('Binder'), '%')),
  primerShare: z
    .number()
    .min(0)
    .max(1)
    .meta(named(t('Primer, share of binder'))),
  wastePct: wastePct()
    .default(0)
    .meta(named(t('Waste'), '%')),
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
    line({
      symbol: 'B',
      label: t('binder in all'),
      expression: `G·${formatFigure(binderPct)} %`,
      value: binderKg,
      unit: 'kg',
      source: 'card',
    }),
    line({
      symbol: 'Bp',
      label: t('of it to prime the edges'),
      expression: `${formatFigure(binderKg)}·${formatFigure(primerShare)}`,
      value: primerKg,
      unit: 'kg',
      source: 'card',
    }),
    line({
      symbol: 'Bm',
      label: t('of it into the granules'),
      expression: `${formatFigure(binderKg)} − ${formatFigure(primerKg)}`,
      value: mixBinderKg,
      unit: 'kg',
    }),
    line({
      symbol: 'G',
      label: t('granules'),
      expression: `${formatFigure(volumeL)}·(1 + ${formatFigure(wastePct)} %)·${formatFigure(bulkDensityKgL)}·${formatFigure(compaction)}`,
      value: granulesKg,
      unit: 'kg',
      source: 'card',
    }),
  ];
  return worked({ granulesKg, binderKg, primerKg, mixBinderKg }, working);
}

export const rubberCrumbCalc = defineCalc({
  name: 'rubber-crumb',
  purpose: t('Granules and binder of a rubber crumb bed.'),
  input: RubberCrumbInput,
  run: rubberCrumb,
  result: {
    granulesKg: named(t('Granules'), 'kg'),
    binderKg: named(t('Binder'), 'kg'),
    primerKg: named(t('Primer'), 'kg'),
    mixBinderKg: named(t('Binder to mix'), 'kg'),
  },
  formula: [
    'G = V·(1 + waste)·bulk·compaction',
    t('B = G·binder; primer = B·share; the rest into the granules'),
  ],
  source: t('Bulk density, binder share and compaction from the card.'),
  limits: t('A dry day: moisture makes the binder foam.'),
  example: {
    volumeL: 25.8,
    bulkDensityKgL: 0.54,
    compaction: 1.08,
    binderPct: 16.7,
    primerShare: 0.09,
  },
});
