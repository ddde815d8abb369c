import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, ceil, positive, wastePct } from '../calc/number';

export const MortarBatchInput = z.strictObject({
  volumeL: positive().meta(named('Volume to fill', 'l')),
  bagKg: positive().meta(named('Bag', 'kg')),
  yieldLPerBag: positive().meta(named('Yield of a bag', 'l')),
  waterLPerBag: atLeastZero().meta(named('Water a bag', 'l')),
  aggregatePct: z.number().min(0).max(1000).default(0).meta(named('Aggregate, of the powder', '%')),
  aggregateDensityKgL: positive().default(2.65).meta(named('Aggregate density', 'g/ml')),
  wastePct: wastePct().default(0).meta(named('Lost on tools', '%')),
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
    line(
      'Vb',
      'made of one bag',
      `${formatFigure(yieldLPerBag)} + ${formatFigure(bagKg)}·${formatFigure(aggregatePct)} %/${formatFigure(aggregateDensityKgL)}`,
      perBagL,
      'l',
      'card',
    ),
    line('W', 'water', `n·${formatFigure(waterLPerBag)}`, waterL, 'l', 'card'),
    line(
      'G',
      'aggregate',
      `n·${formatFigure(bagKg)}·${formatFigure(aggregatePct)} %`,
      aggregateKg,
      'kg',
      'card',
    ),
    line('V', 'made', `n·${formatFigure(perBagL)}`, madeL, 'l'),
    line(
      'n',
      'bags',
      `${formatFigure(volumeL)}·(1 + ${formatFigure(wastePct)} %)/${formatFigure(perBagL)}, rounded up`,
      bags,
    ),
  ];
  return worked({ bags, waterL, aggregateKg, madeL }, working);
}

export const mortarBatchCalc = defineCalc({
  name: 'mortar-batch',
  purpose: 'Bags, water and aggregate of a repair mortar.',
  input: MortarBatchInput,
  run: mortarBatch,
  result: {
    bags: named('Bags'),
    waterL: named('Water', 'l'),
    aggregateKg: named('Aggregate', 'kg'),
    madeL: named('Made', 'l'),
  },
  formula: [
    'per bag = yield + bag·aggregate/100/density',
    'n = V·(1 + waste)/per bag, rounded up; the rest times n',
  ],
  source: 'Yield and water from the card.',
  limits:
    'Aggregate clean, dry and no more than the card’s share. Water by coat: patch, base and broom coats differ.',
  example: {
    volumeL: 92,
    bagKg: 25,
    yieldLPerBag: 13.6,
    waterLPerBag: 2.5,
    aggregatePct: 15,
    wastePct: 8,
  },
});
