import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive } from '../calc/number';
import { bothRatios, Ratio } from './ratio';

export const MixSplitInput = z.strictObject({
  ratio: Ratio.meta(named(t('Ratio'))),
  densityA: positive().meta(named(t('Density of base'), 'g/ml')),
  densityB: positive().meta(named(t('Density of hardener'), 'g/ml')),
  total: z
    .union([
      z.strictObject({ ml: positive().meta(named('Volume', 'ml')) }),
      z.strictObject({ g: positive().meta(named('Mass', 'g')) }),
    ])
    .meta(named(t('To mix'))),
});
export type MixSplitInput = z.infer<typeof MixSplitInput>;
export interface MixSplit {
  aMl: number;
  bMl: number;
  aG: number;
  bG: number;
  ratioByVolume: number;
  ratioByMass: number;
}

/**
 * Splits a batch into base (a) and hardener (b). Densities in g/ml, total in ml or in g.
 * The volume of a batch is taken as the sum of its parts' volumes. Never refuses.
 */
export function mixSplit({ ratio, densityA, densityB, total }: MixSplitInput): Worked<MixSplit> {
  const { byVolume, byMass } = bothRatios(ratio, densityA, densityB);
  const inMl = 'ml' in total;
  const whole = inMl ? total.ml : total.g;
  const r = inMl ? byVolume : byMass;
  const partA = (whole * r) / (1 + r);
  const partB = whole / (1 + r);
  const aMl = inMl ? partA : partA / densityA;
  const bMl = inMl ? partB : partB / densityB;
  const aG = inMl ? partA * densityA : partA;
  const bG = inMl ? partB * densityB : partB;
  const stated = `${formatFigure(ratio.a)}:${formatFigure(ratio.b)} by ${ratio.by}`;
  const working = () => [
    line({
      symbol: 'rv',
      label: t('ratio by volume, a to 1 of b'),
      expression: stated,
      value: byVolume,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'rm',
      label: t('ratio by mass, a to 1 of b'),
      expression: `rv·${formatFigure(densityA)}/${formatFigure(densityB)}`,
      value: byMass,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'mB',
      label: t('hardener'),
      expression: inMl
        ? `${formatFigure(bMl)} ml·${formatFigure(densityB)}`
        : `${formatFigure(whole)}/(1 + rm)`,
      value: bG,
      unit: 'g',
    }),
    line({
      symbol: 'mA',
      label: t('base'),
      expression: inMl
        ? `${formatFigure(aMl)} ml·${formatFigure(densityA)}`
        : `${formatFigure(whole)} − mB`,
      value: aG,
      unit: 'g',
    }),
    line({
      symbol: 'VB',
      label: t('hardener'),
      expression: inMl ? `${formatFigure(whole)}/(1 + rv)` : `mB/${formatFigure(densityB)}`,
      value: bMl,
      unit: 'ml',
    }),
    line({
      symbol: 'VA',
      label: t('base'),
      expression: inMl ? `${formatFigure(whole)}·rv/(1 + rv)` : `mA/${formatFigure(densityA)}`,
      value: aMl,
      unit: 'ml',
    }),
  ];
  return worked({ aMl, bMl, aG, bG, ratioByVolume: byVolume, ratioByMass: byMass }, working);
}

export const mixSplitCalc = defineCalc({
  name: 'mix-split',
  purpose: t('Base and hardener of a batch, by volume and by mass.'),
  input: MixSplitInput,
  run: mixSplit,
  result: {
    aMl: named(t('Base'), 'ml'),
    bMl: named(t('Hardener'), 'ml'),
    aG: named(t('Base'), 'g'),
    bG: named(t('Hardener'), 'g'),
    ratioByVolume: named(t('By volume, to 1')),
    ratioByMass: named(t('By mass, to 1')),
  },
  formula: ['r_mass = r_vol·ρA/ρB', t('part A = total·r/(1 + r), part B = total/(1 + r)')],
  source: t('The card’s ratio and densities.'),
  limits: t('The parts’ volumes are taken as adding up.'),
  example: {
    ratio: { a: 3, b: 1, by: 'volume' },
    densityA: 2.4,
    densityB: 1.6,
    total: { ml: 150 },
  },
});
