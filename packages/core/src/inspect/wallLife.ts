import { z } from 'zod';
import { defineCalc, formatFigure, line, refuse, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero } from '../calc/number';

export const WallLifeInput = z.strictObject({
  remainingMm: atLeastZero().meta(named('Wall left', 'mm')),
  minimumMm: atLeastZero().meta(named('Least wall', 'mm')),
  ratePerYearMm: z.number().min(0).max(1e6).meta(named('Wear', 'mm/year')),
});
export type WallLifeInput = z.output<typeof WallLifeInput>;

/** Years until a wall (mm) reaches its minimum at a steady loss (mm a year), not below 0. Refuses a loss of zero. */
export function wallLife({
  remainingMm,
  minimumMm,
  ratePerYearMm,
}: WallLifeInput): Answer<{ years: number }> {
  if (ratePerYearMm === 0) return refuse('No loss measured.');
  const spareMm = remainingMm - minimumMm;
  const years = Math.max(0, spareMm / ratePerYearMm);
  return worked({ years }, [
    line(
      'Δ',
      'wall to spare',
      `${formatFigure(remainingMm)} − ${formatFigure(minimumMm)}`,
      spareMm,
      'mm',
      'gauge',
    ),
    line(
      'T',
      'years left',
      `${formatFigure(spareMm)}/${formatFigure(ratePerYearMm)}, not below 0`,
      years,
      'years',
      'steady loss',
    ),
  ]);
}

export const wallLifeCalc = defineCalc({
  name: 'wall-life',
  purpose: 'Years until a wall is down to its minimum.',
  input: WallLifeInput,
  run: wallLife,
  result: { years: named('Years left', 'years') },
  formula: ['T = (remaining − minimum)/rate, not below 0'],
  source: 'Steady loss between gaugings.',
  limits: 'Pitting runs ahead of the mean. The minimum is an engineer’s figure.',
  example: { remainingMm: 9.1, minimumMm: 4.3, ratePerYearMm: 1.18 },
});
