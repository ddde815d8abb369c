import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive } from '../calc/number';

const D5162 = 'ASTM D5162';
/** Thinner films are tested with a wet sponge; up to the second limit the lower constant applies, mm. */
const SPONGE_UNDER_MM = 0.5;
const THIN_UPTO_MM = 1.016;

export const HolidayVoltageInput = z.strictObject({
  thicknessMm: positive()
    .max(100)
    .meta(named(t('Thickness'), 'mm')),
});
export type HolidayVoltageInput = z.output<typeof HolidayVoltageInput>;
export interface HolidayVoltage {
  method: 'wet-sponge' | 'high-voltage';
  volts: number | null;
}

/**
 * How to test a cured film of this thickness (mm) for pinholes, and at which voltage. The material maker's maximum
 * governs. Never refuses.
 */
export function holidayVoltage({ thicknessMm }: HolidayVoltageInput): Worked<HolidayVoltage> {
  if (thicknessMm < SPONGE_UNDER_MM) {
    return worked({ method: 'wet-sponge', volts: null }, [
      line({
        symbol: 't',
        label: t('film'),
        expression: `under ${SPONGE_UNDER_MM} mm`,
        value: thicknessMm,
        unit: 'mm',
        source: 'gauge',
      }),
      line({
        symbol: '',
        label: t('method'),
        expression: t('wet sponge, low voltage'),
        value: 'wet-sponge',
        unit: '',
        source: D5162,
      }),
    ]);
  }
  const constant = thicknessMm <= THIN_UPTO_MM ? 3294 : 7843;
  const volts = constant * Math.sqrt(thicknessMm);
  return worked({ method: 'high-voltage', volts }, [
    line({
      symbol: 't',
      label: t('film'),
      expression: t('{spongeUnder} mm or more', { spongeUnder: SPONGE_UNDER_MM }),
      value: thicknessMm,
      unit: 'mm',
      source: 'gauge',
    }),
    line({
      symbol: 'M',
      label: t('constant'),
      expression: t('{thinUpto} mm or less 3294, else 7843', { thinUpto: THIN_UPTO_MM }),
      value: constant,
      unit: '',
      source: D5162,
    }),
    line({
      symbol: 'V',
      label: t('test voltage; the material maker’s maximum governs'),
      expression: `${constant}·√${formatFigure(thicknessMm)}`,
      value: volts,
      unit: 'V',
      source: D5162,
    }),
    line({
      symbol: '',
      label: t('method'),
      expression: t('spark test'),
      value: 'high-voltage',
      unit: '',
      source: D5162,
    }),
  ]);
}

export const holidayVoltageCalc = defineCalc({
  name: 'holiday-voltage',
  purpose: t('How to test a film for pinholes, and at what voltage.'),
  input: HolidayVoltageInput,
  run: holidayVoltage,
  result: { method: named(t('Method')), volts: named(t('Test voltage'), 'V') },
  formula: [
    t('under 0.5 mm: wet sponge'),
    t('else V = M·√t, M = 3294 up to 1.016 mm, 7843 over it'),
  ],
  source: 'ASTM D5162.',
  limits: t(
    'The material maker’s maximum governs. High voltage: earthed, dry, no flammable vapour, nobody with an implant near.',
  ),
  example: { thicknessMm: 0.75 },
});
