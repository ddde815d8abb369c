import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, ceil, positive, wastePct } from '../calc/number';

export const MortarBatchInput = z.strictObject({
  volumeL: positive().meta(named(t('Volume to fill'), 'l')),
  bagKg: positive().meta(named(t('Bag'), 'kg')),
  yieldLPerBag: positive().meta(named(t('Yield of a bag'), 'l')),
  waterLPerBag: atLeastZero().meta(named(t('Water a bag'), 'l')),
  aggregatePct: z
    .number()
    .min(0)
    .max(1000)
    .default(0)
    .meta(named(t('Aggregate, of the powder'), '%')),
  aggregateDensityKgL: positive()
    .default(2.65)
    .meta(named(t('Aggregate density'), 'g/ml')),
  wastePct: wastePct()
    .default(0)
    .meta(named(t('Lost on tools'), '%')),
});
export type MortarBatchInput = z.output<typeof MortarBatchInput>;
export interface MortarBatch {
  bags: number;
  waterL: number;
  aggregateKg: number;
  madeL: number;
}

/** Bags, water and clean dry aggregate for a volume in litres; aggregate in percent of the bag's mass. Never refuses. */
export function mortarBatch(input: MortarBatchInput): Worked<MortarBatch> {
  const {
    volumeL,
    bagKg,
    yieldLPerBag,
    waterLPerBag,
    aggregatePct,
    aggregateDensityKgL,
    wastePct,
  } = input;
  const aggregatePerBagKg = (bagKg * aggregatePct) / 100;
  const perBagL = yieldLPerBag + aggregatePerBagKg / aggregateDensityKgL;
  const bags = ceil((volumeL * (1 + wastePct / 100)) / perBagL);
  const waterL = bags * waterLPerBag;
  const aggregateKg = bags * aggregatePerBagKg;
  const madeL = bags * perBagL;
  const working = [
    line({
      symbol: 'Vb',
      label: t('made of one bag'),
      expression: `${formatFigure(yieldLPerBag)} + ${formatFigure(bagKg)}·${formatFigure(aggregatePct)} %/${formatFigure(aggregateDensityKgL)}`,
      value: perBagL,
      unit: 'l',
      source: 'card',
    }),
    line({
      symbol: 'W',
      label: t('water'),
      expression: `n·${formatFigure(waterLPerBag)}`,
      value: waterL,
      unit: 'l',
      source: 'card',
    }),
    line({
      symbol: 'G',
      label: t('aggregate'),
      expression: `n·${formatFigure(bagKg)}·${formatFigure(aggregatePct)} %`,
      value: aggregateKg,
      unit: 'kg',
      source: 'card',
    }),
    line({
      symbol: 'V',
      label: t('made'),
      expression: `n·${formatFigure(perBagL)}`,
      value: madeL,
      unit: 'l',
    }),
    line({
      symbol: 'n',
      label: t('bags'),
      expression: t('{volumeL}·(1 + {waste} %)/{perBagL}, rounded up', {
        volumeL: formatFigure(volumeL),
        waste: formatFigure(wastePct),
        perBagL: formatFigure(perBagL),
      }),
      value: bags,
    }),
  ];
  return worked({ bags, waterL, aggregateKg, madeL }, working);
}

export const mortarBatchCalc = defineCalc({
  name: 'mortar-batch',
  purpose: t('Bags, water and aggregate of a repair mortar.'),
  input: MortarBatchInput,
  run: mortarBatch,
  result: {
    bags: named(t('Bags')),
    waterL: named(t('Water'), 'l'),
    aggregateKg: named(t('Aggregate'), 'kg'),
    madeL: named(t('Made'), 'l'),
  },
  formula: [
    t('per bag = yield + bag·aggregate/100/density'),
    t('n = V·(1 + waste)/per bag, rounded up; the rest times n'),
  ],
  source: t('Yield and water from the card.'),
  limits: t(
    'Aggregate clean, dry and no more than the card’s share. Water by coat: patch, base and broom coats differ.',
  ),
  example: {
    volumeL: 92,
    bagKg: 25,
    yieldLPerBag: 13.6,
    waterLPerBag: 2.5,
    aggregatePct: 15,
    wastePct: 8,
  },
});
