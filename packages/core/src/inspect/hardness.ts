import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { count } from '../calc/number';

const shore = () => z.number().min(0).max(1000);

export const HardnessInput = z.strictObject({
  readings: z
    .array(shore())
    .min(1)
    .max(10000)
    .meta(named(t('Readings'))),
  target: shore().meta(named(t('Target'))),
  minSharePct: z
    .number()
    .min(0)
    .max(100)
    .default(100)
    .meta(named(t('Least share of target'), '%')),
  minReadings: count()
    .default(3)
    .meta(named(t('Fewest readings'))),
});
export type HardnessInput = z.output<typeof HardnessInput>;
export interface Hardness {
  mean: number;
  sd: number | null;
  min: number;
  sharePct: number;
  verdict: 'more' | 'accept' | 'reject';
}

/**
 * Judges hardness readings against a target on the same scale: `more` if too few were taken, otherwise `accept` if
 * enough of them reach the target. Standard deviation with n − 1, null for a single reading.
 */
export function hardness({
  readings,
  target,
  minSharePct,
  minReadings,
}: HardnessInput): Worked<Hardness> {
  const n = readings.length;
  const mean = readings.reduce((sum, r) => sum + r, 0) / n;
  const sd =
    n > 1 ? Math.sqrt(readings.reduce((sum, r) => sum + (r - mean) ** 2, 0) / (n - 1)) : null;
  const min = Math.min(...readings);
  const good = readings.filter((r) => r >= target).length;
  const sharePct = (good / n) * 100;
  const verdict = n < minReadings ? 'more' : sharePct >= minSharePct ? 'accept' : 'reject';
  const working = [
    line({
      symbol: 'n',
      label: t('readings taken'),
      expression: t('{n}, at least {minReadings}', { n, minReadings }),
      value: n,
    }),
    line({ symbol: 'min', label: t('lowest'), expression: t('the smallest reading'), value: min }),
    line({
      symbol: 'p',
      label: t('share at or over target'),
      expression: t('{good} of {n} ≥ {target}; at least {minShare} %', {
        good,
        n,
        target: formatFigure(target),
        minShare: formatFigure(minSharePct),
      }),
      value: sharePct,
      unit: '%',
      source: 'card',
    }),
  ];
  if (sd !== null)
    working.push(
      line({ symbol: 's', label: t('spread'), expression: '√(Σ(x − mean)²/(n − 1))', value: sd }),
    );
  working.push(
    line({
      symbol: '',
      label: t('verdict'),
      expression:
        verdict === 'more' ? `take ${minReadings - n} more` : t('share against the least'),
      value: verdict,
    }),
    line({ symbol: 'x̄', label: t('mean'), expression: `Σx/${n}`, value: mean }),
  );
  return worked({ mean, sd, min, sharePct, verdict }, working);
}

export const hardnessCalc = defineCalc({
  name: 'hardness',
  purpose: t('Whether hardness readings meet the card.'),
  input: HardnessInput,
  run: hardness,
  result: {
    mean: named(t('Mean')),
    sd: named(t('Spread')),
    min: named(t('Lowest')),
    sharePct: named(t('Share of target'), '%'),
    verdict: named(t('Verdict')),
  },
  headline: 'verdict',
  formula: [t('share = readings at or over the target / n'), 's = √(Σ(x − mean)²/(n − 1))'],
  source: t('Readings after ISO 868 (Shore); target from the card.'),
  limits: t('At the temperature the target is given for: a warm repair reads soft.'),
  example: { readings: [84, 86, 83, 87], target: 82 },
});
