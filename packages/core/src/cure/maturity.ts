import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { kelvin, R, tempC } from '../calc/number';
import { crossings, gauss5 } from '../calc/quadrature';
import { historyOf } from './history';

/** At or below this temperature mortar gains no strength, °C. */
const NO_GAIN_C = -10;
const C1074 = t('ASTM C1074, equivalent age');

export const MaturityInput = z.strictObject({
  history: historyOf('atHour', named(t('Hour'), 'h'), 1e6).meta(named(t('Temperatures it saw'))),
  activationJmol: z
    .number()
    .gt(0)
    .max(1e6)
    .default(41570)
    .meta(named(t('Activation energy'), 'J/mol')),
  refC: tempC()
    .default(23)
    .meta(named(t('Reference temperature'), '°C')),
  datumC: tempC()
    .default(0)
    .meta(named(t('Datum'), '°C')),
});
export type MaturityInput = z.output<typeof MaturityInput>;
export interface Maturity {
  equivalentHours: number;
  nurseSaulCh: number;
}

/**
 * Maturity of mortar or concrete over its temperatures (hours, °C, linear between entries): equivalent hours at the
 * reference temperature (Arrhenius), and the Nurse–Saul sum in °C·h above the datum. Never refuses.
 */
export function maturity({
  history,
  activationJmol,
  refC,
  datumC,
}: MaturityInput): Worked<Maturity> {
  const perK = activationJmol / R;
  const speed = (t: number) =>
    t <= NO_GAIN_C ? 0 : Math.exp(-perK * (1 / kelvin(t) - 1 / kelvin(refC)));
  let equivalentHours = 0;
  let nurseSaulCh = 0;
  for (const [i, end] of history.entries()) {
    const start = history[i - 1];
    if (!start) continue;
    const at = (h: number) =>
      start.tempC + ((end.tempC - start.tempC) * (h - start.atHour)) / (end.atHour - start.atHour);
    // Intervals of at most a few degrees, split at the kinks of both rules.
    const heights = Array.from({ length: 64 }, (_, k) => -60 + k * 5);
    const cuts = [
      start.atHour,
      ...crossings({
        x0: start.atHour,
        y0: start.tempC,
        x1: end.atHour,
        y1: end.tempC,
        heights: [...heights, NO_GAIN_C, datumC],
      }),
      end.atHour,
    ];
    for (let k = 1; k < cuts.length; k++) {
      const [a, b] = [cuts[k - 1] as number, cuts[k] as number];
      equivalentHours += gauss5((h) => speed(at(h)), a, b);
      nurseSaulCh += gauss5((h) => Math.max(0, at(h) - datumC), a, b);
    }
  }
  const working = [
    line({
      symbol: 'Q',
      label: t('activation over gas constant'),
      expression: `${formatFigure(activationJmol)}/8.314`,
      value: perK,
      unit: 'K',
      source: C1074,
    }),
    line({
      symbol: 'M',
      label: t('temperature sum over the datum'),
      expression: t('Σ(T − {datum})·Δt, T under the datum counted 0', {
        datum: formatFigure(datumC),
      }),
      value: nurseSaulCh,
      unit: '°C·h',
      source: 'Nurse–Saul',
    }),
    line({
      symbol: 'te',
      label: t('hours at {ref} °C worth the same', { ref: formatFigure(refC) }),
      expression: t('∫ exp(−Q·(1/T − 1/Tr)) dt, in kelvin'),
      value: equivalentHours,
      unit: 'h',
      source: C1074,
    }),
  ];
  return worked({ equivalentHours, nurseSaulCh }, working);
}

export const maturityCalc = defineCalc({
  name: 'maturity',
  purpose: t('Age of mortar or concrete in hours at the reference temperature.'),
  input: MaturityInput,
  run: maturity,
  result: {
    equivalentHours: named(t('Equivalent age'), 'h'),
    nurseSaulCh: named(t('Temperature sum'), '°C·h'),
  },
  formula: [
    t('te = ∫ exp(−(E/R)·(1/T − 1/Tr)) dt; nothing at or below −10 °C'),
    t('M = Σ(T − T0)·Δt, not below 0'),
  ],
  source: t('ASTM C1074 (Arrhenius equivalent age) and Nurse–Saul.'),
  limits: t(
    'Needs the mix’s own activation energy for anything that carries load; strength is proved by test.',
  ),
  example: {
    history: [
      { atHour: 0, tempC: 18 },
      { atHour: 8, tempC: 24 },
      { atHour: 24, tempC: 9 },
    ],
  },
});
