import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { airC, rhPct } from '../calc/number';

const MAGNUS = t('Magnus formula, WMO constants over water');
const MAGNUS_ICE = t('Magnus formula, WMO constants over ice');

export const DewPointInput = z.strictObject({
  airC: airC().meta(named(t('Air'), '°C')),
  rhPct: rhPct().meta(named(t('Humidity'), '%')),
});
export type DewPointInput = z.infer<typeof DewPointInput>;
export interface DewPoint {
  dewPointC: number;
  frostPointC: number | null;
}

/**
 * Temperature at which moisture settles out of the air: dew, and below freezing also frost.
 * Input air temperature in °C (-40..60) and relative humidity in % (1..100). Never refuses.
 * γ = ln(rh/100) + 17.62·T/(243.12+T); Td = 243.12·γ/(17.62−γ); Tf = 272.62·γ/(22.46−γ) when Td < 0.
 */
export function dewPoint({ airC, rhPct }: DewPointInput): Worked<DewPoint> {
  const gamma = Math.log(rhPct / 100) + (17.62 * airC) / (243.12 + airC);
  const dewPointC = (243.12 * gamma) / (17.62 - gamma);
  const frostPointC = dewPointC < 0 ? (272.62 * gamma) / (22.46 - gamma) : null;
  const working = () => {
    const lines = [
      line({
        symbol: 'γ',
        label: t('humidity term'),
        expression: `ln(${formatFigure(rhPct)}/100) + 17.62·${formatFigure(airC)}/(243.12 + ${formatFigure(airC)})`,
        value: gamma,
        unit: '',
        source: MAGNUS,
      }),
    ];
    if (frostPointC !== null) {
      const expression = `272.62·${formatFigure(gamma)}/(22.46 − ${formatFigure(gamma)})`;
      lines.push(
        line({
          symbol: 'Tf',
          label: t('frost point'),
          expression,
          value: frostPointC,
          unit: '°C',
          source: MAGNUS_ICE,
        }),
      );
    }
    const expression = `243.12·${formatFigure(gamma)}/(17.62 − ${formatFigure(gamma)})`;
    lines.push(
      line({
        symbol: 'Td',
        label: t('dew point'),
        expression,
        value: dewPointC,
        unit: '°C',
        source: MAGNUS,
      }),
    );
    return lines;
  };
  return worked({ dewPointC, frostPointC }, working);
}

export const dewPointCalc = defineCalc({
  name: 'dew-point',
  purpose: t('Temperature at which moisture settles out of the air.'),
  input: DewPointInput,
  run: dewPoint,
  result: { dewPointC: named(t('Dew point'), '°C'), frostPointC: named(t('Frost point'), '°C') },
  formula: [
    'γ = ln(rh/100) + 17.62·T/(243.12 + T)',
    'Td = 243.12·γ/(17.62 − γ)',
    t('Tf = 272.62·γ/(22.46 − γ), when Td < 0'),
  ],
  source: t('Magnus formula with the WMO constants, over water and over ice.'),
  limits: t('Air −40 to 60 °C, humidity 1 to 100 %. Good to about 0.1 °C; a hygrometer is worse.'),
  example: { airC: 20, rhPct: 60 },
});
