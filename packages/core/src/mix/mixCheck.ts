import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive } from '../calc/number';
import { bothRatios, Ratio } from './ratio';

export const MixCheckInput = z.strictObject({
  ratio: Ratio.meta(named(t('Ratio'))),
  densityA: positive().meta(named(t('Density of base'), 'g/ml')),
  densityB: positive().meta(named(t('Density of hardener'), 'g/ml')),
  weighed: z
    .strictObject({
      aG: positive().meta(named(t('Base'), 'g')),
      bG: positive().meta(named(t('Hardener'), 'g')),
    })
    .meta(named(t('Weighed'))),
  tolerancePct: z
    .number()
    .min(0)
    .max(100)
    .meta(named(t('Tolerance'), '%')),
});
export type MixCheckInput = z.infer<typeof MixCheckInput>;
export interface MixCheck {
  deviationPct: number;
  verdict: 'in' | 'out';
  addA_G: number;
  addB_G: number;
}

/**
 * Compares the weighed masses (g) with the card's ratio. Deviation of hardener over base, in % of nominal. Always gives
 * the grams of the short part that correct it. Never refuses.
 */
export function mixCheck(input: MixCheckInput): Worked<MixCheck> {
  const { ratio, densityA, densityB, weighed, tolerancePct } = input;
  const { byMass } = bothRatios(ratio, densityA, densityB);
  const { aG, bG } = weighed;
  // (b/a − n)/n with n = 1/byMass, as one difference of similar sizes, to avoid cancellation.
  const wantedB = aG / byMass;
  const deviationPct = ((bG - wantedB) / wantedB) * 100;
  const verdict = Math.abs(deviationPct) <= tolerancePct ? 'in' : 'out';
  const addB_G = Math.max(0, wantedB - bG);
  const addA_G = Math.max(0, bG * byMass - aG);
  const working = [
    line({
      symbol: 'rm',
      label: t('ratio by mass, a to 1 of b'),
      expression: `${formatFigure(ratio.a)}:${formatFigure(ratio.b)} by ${ratio.by}`,
      value: byMass,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'mB',
      label: t('hardener this much base asks for'),
      expression: `${formatFigure(aG)}/${formatFigure(byMass)}`,
      value: wantedB,
      unit: 'g',
    }),
    line({
      symbol: '+B',
      label: t('hardener to add'),
      expression: t('{wantedB} − {bG}, not below 0', {
        wantedB: formatFigure(wantedB),
        bG: formatFigure(bG),
      }),
      value: addB_G,
      unit: 'g',
    }),
    line({
      symbol: '+A',
      label: t('base to add'),
      expression: t('{bG}·{byMass} − {aG}, not below 0', {
        bG: formatFigure(bG),
        byMass: formatFigure(byMass),
        aG: formatFigure(aG),
      }),
      value: addA_G,
      unit: 'g',
    }),
    line({
      symbol: '',
      label: t('verdict'),
      expression: `within ±${formatFigure(tolerancePct)} %`,
      value: verdict,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 'd',
      label: t('hardener off ratio'),
      expression: `(${formatFigure(bG)} − ${formatFigure(wantedB)})/${formatFigure(wantedB)}·100`,
      value: deviationPct,
      unit: '%',
    }),
  ];
  return worked({ deviationPct, verdict, addA_G, addB_G }, working);
}

export const mixCheckCalc = defineCalc({
  name: 'mix-check',
  purpose: t('Whether what was weighed is on ratio, and what to add if not.'),
  input: MixCheckInput,
  run: mixCheck,
  result: {
    deviationPct: named(t('Hardener off ratio'), '%'),
    verdict: named(t('Verdict')),
    addA_G: named(t('Base to add'), 'g'),
    addB_G: named(t('Hardener to add'), 'g'),
  },
  headline: 'verdict',
  formula: [
    t('d = (b − a/r)/(a/r)·100, a and b in grams, r by mass'),
    t('add b = a/r − b, or a = b·r − a, whichever is short'),
  ],
  source: t('The card’s ratio and tolerance.'),
  limits: t('Put it right before mixing starts; never after.'),
  example: {
    ratio: { a: 4.5, b: 1, by: 'mass' },
    densityA: 2.4,
    densityB: 1.6,
    weighed: { aG: 270.2, bG: 59.1 },
    tolerancePct: 3,
  },
});
