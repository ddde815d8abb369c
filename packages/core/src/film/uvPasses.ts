import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { ceil, positive } from '../calc/number';

export const UvPassesInput = z.strictObject({
  depthMm: positive().meta(named(t('Depth'), 'mm')),
  depthPerPassMm: positive().meta(named(t('Depth a pass'), 'mm')),
  doseJcm2: positive().meta(named(t('Dose a pass'), 'J/cm²')),
  irradianceWcm2: positive().meta(named(t('Irradiance'), 'W/cm²')),
  filler: z
    .number()
    .gt(0)
    .min(0.01)
    .max(100)
    .default(1)
    .meta(named(t('Filler'))),
});
export type UvPassesInput = z.output<typeof UvPassesInput>;
export interface UvPasses {
  passes: number;
  secondsPerPass: number;
  totalSeconds: number;
}

/**
 * Passes under a lamp, none deeper than it cures, and the seconds of each: dose divided by irradiance, times the
 * filler's shade factor. Never refuses.
 */
export function uvPasses({
  depthMm,
  depthPerPassMm,
  doseJcm2,
  irradianceWcm2,
  filler,
}: UvPassesInput): Worked<UvPasses> {
  const passes = ceil(depthMm / depthPerPassMm);
  const secondsPerPass = (doseJcm2 / irradianceWcm2) * filler;
  const totalSeconds = passes * secondsPerPass;
  const working = [
    line({
      symbol: 'tp',
      label: t('seconds a pass'),
      expression: `${formatFigure(doseJcm2)}/${formatFigure(irradianceWcm2)}·${formatFigure(filler)}`,
      value: secondsPerPass,
      unit: 's',
      source: t('card dose, lamp'),
    }),
    line({
      symbol: 't',
      label: t('under the lamp in all'),
      expression: `n·${formatFigure(secondsPerPass)}`,
      value: totalSeconds,
      unit: 's',
    }),
    line({
      symbol: 'n',
      label: t('passes'),
      expression: t('{depth}/{depthPerPass}, rounded up', {
        depth: formatFigure(depthMm),
        depthPerPass: formatFigure(depthPerPassMm),
      }),
      value: passes,
      unit: '',
      source: 'card',
    }),
  ];
  return worked({ passes, secondsPerPass, totalSeconds }, working);
}

export const uvPassesCalc = defineCalc({
  name: 'uv-passes',
  purpose: t('Passes and seconds under a curing lamp.'),
  input: UvPassesInput,
  run: uvPasses,
  result: {
    passes: named(t('Passes')),
    secondsPerPass: named(t('A pass takes'), 's'),
    totalSeconds: named(t('All passes take'), 's'),
  },
  formula: [t('n = depth/depth a pass, rounded up'), 'seconds = dose/irradiance·filler'],
  source: t('Dose is irradiance times time.'),
  limits: t('Irradiance measured at the work, not at the lamp. Eyes and skin covered.'),
  example: {
    depthMm: 4.3,
    depthPerPassMm: 0.6,
    doseJcm2: 6.8,
    irradianceWcm2: 0.494,
    filler: 1.39,
  },
});
