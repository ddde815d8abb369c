import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { ceil, positive } from '../calc/number';

export const UvPassesInput = z.strictObject({
  depthMm: positive().meta(named('Depth', 'mm')),
  depthPerPassMm: positive().meta(named('Depth a pass', 'mm')),
  doseJcm2: positive().meta(named('Dose a pass', 'J/cm²')),
  irradianceWcm2: positive().meta(named('Irradiance', 'W/cm²')),
  filler: z.number().gt(0).min(0.01).max(100).default(1).meta(named('Filler')),
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
    line(
      'tp',
      'seconds a pass',
      `${formatFigure(doseJcm2)}/${formatFigure(irradianceWcm2)}·${formatFigure(filler)}`,
      secondsPerPass,
      's',
      'card dose, lamp',
    ),
    line('t', 'under the lamp in all', `n·${formatFigure(secondsPerPass)}`, totalSeconds, 's'),
    line(
      'n',
      'passes',
      `${formatFigure(depthMm)}/${formatFigure(depthPerPassMm)}, rounded up`,
      passes,
      '',
      'card',
    ),
  ];
  return worked({ passes, secondsPerPass, totalSeconds }, working);
}

export const uvPassesCalc = defineCalc({
  name: 'uv-passes',
  purpose: 'Passes and seconds under a curing lamp.',
  input: UvPassesInput,
  run: uvPasses,
  result: {
    passes: named('Passes'),
    secondsPerPass: named('A pass takes', 's'),
    totalSeconds: named('All passes take', 's'),
  },
  formula: ['n = depth/depth a pass, rounded up', 'seconds = dose/irradiance·filler'],
  source: 'Dose is irradiance times time.',
  limits: 'Irradiance measured at the work, not at the lamp. Eyes and skin covered.',
  example: {
    depthMm: 4.3,
    depthPerPassMm: 0.6,
    doseJcm2: 6.8,
    irradianceWcm2: 0.494,
    filler: 1.39,
  },
});
