import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, refuse, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero } from '../calc/number';

export const WallLifeInput = z.strictObject({
  remainingMm: atLeastZero().meta(named(t('Wall left'), 'mm')),
  minimumMm: atLeastZero().meta(named(t('Least wall'), 'mm')),
  ratePerYearMm: z
    .number()
    .min(0)
    .max(1e6)
    .meta(named(t('Wear'), 'mm/year')),
});
export type WallLifeInput = z.output<typeof WallLifeInput>;

/** Years until a wall (mm) reaches its minimum at a steady loss (mm a year), not below 0. Refuses a loss of zero. */
export function wallLife({
  remainingMm,
  minimumMm,
  ratePerYearMm,
}: WallLifeInput): Answer<{ years: number }> {
  if (ratePerYearMm === 0) return refuse(t('No loss measured.'));
  const spareMm = remainingMm - minimumMm;
  const years = Math.max(0, spareMm / ratePerYearMm);
  return worked({ years }, [
    line({
      symbol: 'Δ',
      label: t('wall to spare'),
      expression: `${formatFigure(remainingMm)} − ${formatFigure(minimumMm)}`,
      value: spareMm,
      unit: 'mm',
      source: 'gauge',
    }),
    line({
      symbol: 'T',
      label: t('years left'),
      expression: t('{spare}/{ratePerYear}, not below 0', {
        spare: formatFigure(spareMm),
        ratePerYear: formatFigure(ratePerYearMm),
      }),
      value: years,
      unit: 'years',
      source: t('steady loss'),
    }),
  ]);
}

export const wallLifeCalc = defineCalc({
  name: 'wall-life',
  purpose: t('Years until a wall is down to its minimum.'),
  input: WallLifeInput,
  run: wallLife,
  result: { years: named(t('Years left'), 'years') },
  formula: [t('T = (remaining − minimum)/rate, not below 0')],
  source: t('Steady loss between gaugings.'),
  limits: t('Pitting runs ahead of the mean. The minimum is an engineer’s figure.'),
  example: { remainingMm: 9.1, minimumMm: 4.3, ratePerYearMm: 1.18 },
});
