import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { airC, rhPct, tempC } from '../calc/number';
import { dewPoint } from './dewPoint';

const RULE =
  'ISO 8502-4: surface at least the stated margin above dew point; the card may ask more';

/** The limits of a gate, with the trade's usual values as defaults. */
export const gateLimits = {
  minAboveDewC: z
    .number()
    .min(0)
    .max(50)
    .default(3)
    .meta(named(t('Least above dew point'), 'K')),
  maxRhPct: rhPct()
    .default(85)
    .meta(named(t('Most humidity'), '%')),
  minSurfaceC: tempC()
    .default(5)
    .meta(named(t('Coldest surface'), '°C')),
  maxSurfaceC: tempC()
    .default(45)
    .meta(named(t('Hottest surface'), '°C')),
};
export const GateLimits = z.strictObject(gateLimits);
export type GateLimits = z.output<typeof GateLimits>;

export const AmbientGateInput = z.strictObject({
  airC: airC().meta(named(t('Air'), '°C')),
  rhPct: rhPct().meta(named(t('Humidity'), '%')),
  surfaceC: tempC().meta(named(t('Surface'), '°C')),
  ...gateLimits,
});
export type AmbientGateInput = z.output<typeof AmbientGateInput>;

export type GateReason = 'dew-margin' | 'humidity' | 'too-cold' | 'too-hot';
export interface AmbientGate {
  dewPointC: number;
  frostPointC: number | null;
  marginC: number;
  verdict: 'go' | 'no-go';
  reasons: GateReason[];
}

/**
 * Decides whether a surface may be coated now: dry enough, warm enough, not too hot. Temperatures in °C, humidity in %.
 * Below freezing the margin counts from the frost point. Never refuses; a stop lists its reasons in a fixed order.
 */
export function ambientGate(input: AmbientGateInput): Worked<AmbientGate> {
  const { surfaceC, minAboveDewC, maxRhPct, minSurfaceC, maxSurfaceC } = input;
  const dew = dewPoint(input);
  const wetC = dew.frostPointC ?? dew.dewPointC;
  const marginC = surfaceC - wetC;
  const reasons: GateReason[] = [];
  if (marginC < minAboveDewC) reasons.push('dew-margin');
  if (input.rhPct > maxRhPct) reasons.push('humidity');
  if (surfaceC < minSurfaceC) reasons.push('too-cold');
  if (surfaceC > maxSurfaceC) reasons.push('too-hot');
  const verdict = reasons.length === 0 ? 'go' : 'no-go';
  const working = () => [
    ...dew.working,
    line({
      symbol: 'ΔT',
      label: t('surface above dew or frost point'),
      expression: `${formatFigure(surfaceC)} − ${formatFigure(wetC)}, least ${formatFigure(minAboveDewC)}`,
      value: marginC,
      unit: '°C',
      source: RULE,
    }),
    line({
      symbol: 'rh',
      label: t('humidity against its limit'),
      expression: `${formatFigure(input.rhPct)}, most ${formatFigure(maxRhPct)}`,
      value: input.rhPct,
      unit: '%',
      source: 'card',
    }),
    line({
      symbol: 'Ts',
      label: t('surface against its limits'),
      expression: `${formatFigure(minSurfaceC)} to ${formatFigure(maxSurfaceC)}`,
      value: surfaceC,
      unit: '°C',
      source: 'card',
    }),
    line({
      symbol: '',
      label: t('verdict'),
      expression: reasons.length ? reasons.join(', ') : t('all inside limits'),
      value: verdict,
    }),
    line({
      symbol: 'Td',
      label: t('dew point the gate stands on'),
      expression: t('from above'),
      value: dew.dewPointC,
      unit: '°C',
    }),
  ];
  const { dewPointC, frostPointC } = dew;
  return worked({ dewPointC, frostPointC, marginC, verdict, reasons }, working);
}

/** Coldest surface at which the gate's dew margin is met, in °C, for air as measured. */
export function goFromC(air: { airC: number; rhPct: number }, limits: GateLimits): number {
  const dew = dewPoint(air);
  return Math.max((dew.frostPointC ?? dew.dewPointC) + limits.minAboveDewC, limits.minSurfaceC);
}

export const ambientGateCalc = defineCalc({
  name: 'ambient-gate',
  purpose: t('Whether the surface may be coated now: dew margin, humidity, temperature.'),
  input: AmbientGateInput,
  run: ambientGate,
  result: {
    dewPointC: named(t('Dew point'), '°C'),
    frostPointC: named(t('Frost point'), '°C'),
    marginC: named(t('Above dew point'), 'K'),
    verdict: named(t('Verdict')),
    reasons: named(t('Reasons')),
  },
  headline: 'verdict',
  formula: [
    t('margin = Ts − Td, or Ts − Tf below freezing'),
    t('go: margin, humidity and surface are all inside their limits'),
  ],
  source: t('ISO 8502-4; the limits are the card’s, 3 °C, 85 %, 5 to 45 °C where it has none.'),
  limits: t(
    'True for the moment and the place of the reading. Measure again after a change of weather.',
  ),
  example: { airC: 18, rhPct: 70, surfaceC: 15.5 },
});
