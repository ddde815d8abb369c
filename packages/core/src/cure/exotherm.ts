import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  refuse,
  worked,
  type Answer,
  type Report,
} from '../calc/calc';
import { named } from '../calc/field';
import { share, tempC } from '../calc/number';
import { follow, warming, type Leg, type Reaction } from './kamal';

const KAMAL = t('Kamal kinetics, one temperature for the whole mass');
/** Number of points of the drawn curve. */
const CURVE_POINTS = 240;

const measure = (most: number) => z.number().gt(0).min(1e-6).max(most);
const kinetic = (most: number) => z.number().min(0).max(most);

export const ExothermInput = z.strictObject({
  massG: measure(1e7).meta(named(t('Mass'), 'g')),
  cpJgK: measure(100).meta(named(t('Heat capacity'), 'J/(g·K)')),
  heatJg: kinetic(1e5).meta(named(t('Heat of reaction'), 'J/g')),
  A1: kinetic(1e20).meta(named('A₁', '1/s')),
  E1: kinetic(1e6).meta(named('E₁', 'J/mol')),
  A2: kinetic(1e20).meta(named('A₂', '1/s')),
  E2: kinetic(1e6).meta(named('E₂', 'J/mol')),
  m: kinetic(10).meta(named('m')),
  n: kinetic(10).meta(named('n')),
  alphaGel: share().meta(named(t('Conversion at gel'))),
  hWm2K: kinetic(1e5).meta(named(t('Heat loss'), 'W/(m²·K)')),
  areaM2: kinetic(1e4).meta(named(t('Area'), 'm²')),
  startC: tempC().meta(named(t('Mixed at'), '°C')),
  ambientC: tempC().meta(named(t('Air around it'), '°C')),
  horizonMin: measure(1e6).meta(named(t('Look ahead'), 'min')),
});
export type ExothermInput = z.output<typeof ExothermInput>;
export interface Exotherm {
  peakC: number;
  peakMin: number;
  gelMin: number | null;
  alphaEnd: number;
  /** The course over time, reduced for drawing. */
  curve: { min: number; tempC: number; alpha: number }[];
}

/** First moment (s) in a step at which the conversion reaches `alpha`, linear between its ends. */
const passes = ({ from, to, start, end }: Leg, alpha: number): number =>
  from + ((to - from) * (alpha - start[0])) / (end[0] - start[0]);

/**
 * The hottest moment of a step, s, and its temperature, °C: the maximum of the cubic through both ends' temperatures
 * and rates, if it is inside the step; otherwise the hotter end.
 */
function hottest(r: Reaction, { from, to, start, end }: Leg): { s: number; tempC: number } {
  const h = to - from;
  const [a, b] = [h * warming(r, start), h * warming(r, end)];
  if (!(a > 0 && b < 0)) return { s: to, tempC: end[1] };
  const rise = end[1] - start[1];
  const [square, cube] = [3 * rise - 2 * a - b, a + b - 2 * rise];
  // a + 2·square·u + 3·cube·u² = 0, in the form that stays accurate when the cube is nearly zero.
  const u = -a / (square - Math.sqrt(Math.max(0, square * square - 3 * a * cube)));
  const at = Math.min(1, Math.max(0, u));
  return { s: from + h * at, tempC: start[1] + a * at + square * at * at + cube * at ** 3 };
}

function workingOf(input: ExothermInput, { peakC, peakMin, gelMin, alphaEnd }: Exotherm) {
  return [
    line({
      symbol: 'ΔT',
      label: t('rise if no heat were lost'),
      expression: `${formatFigure(input.heatJg)}/${formatFigure(input.cpJgK)}`,
      value: input.heatJg / input.cpJgK,
      unit: 'K',
      source: t('heat of reaction over heat capacity'),
    }),
    line({
      symbol: 'U',
      label: t('heat lost per kelvin'),
      expression: `${formatFigure(input.hWm2K)}·${formatFigure(input.areaM2)}`,
      value: input.hWm2K * input.areaM2,
      unit: 'W/K',
    }),
    line({
      symbol: 'dα/dt',
      label: t('rate of reaction'),
      expression: '(k₁ + k₂·α^m)·(1 − α)^n, k = A·exp(−E/RT)',
      value: t('solved in small steps'),
      unit: '',
      source: KAMAL,
    }),
    line({
      symbol: 'αe',
      label: t('conversion after {horizon} min', { horizon: formatFigure(input.horizonMin) }),
      expression: '∫ dα/dt',
      value: alphaEnd,
      unit: '',
      source: KAMAL,
    }),
    line({
      symbol: 'tg',
      label: t('gels at'),
      expression: `first α ≥ ${formatFigure(input.alphaGel)}`,
      value: gelMin ?? t('not in this time'),
      unit: 'min',
      source: KAMAL,
    }),
    line({
      symbol: 'tp',
      label: t('minute of the peak'),
      expression: t('the first time it is reached'),
      value: peakMin,
      unit: 'min',
      source: KAMAL,
    }),
    line({
      symbol: 'Tp',
      label: t('peak'),
      expression: t('from {start} °C; the core of a thick batch is hotter', {
        start: formatFigure(input.startC),
      }),
      value: peakC,
      unit: '°C',
      source: KAMAL,
    }),
  ];
}

/**
 * Self-heating of a batch: highest temperature (°C) and its first minute, gel time, final conversion. Masses in g,
 * heats in J/g, rates per second, activation energy in J/mol. Stiff: solved by an L-stable Rosenbrock pair with
 * adaptive steps. Refuses constants that no material has, for which no step is short enough.
 */
export function exotherm(input: ExothermInput, report?: Report): Answer<Exotherm> {
  const seconds = input.horizonMin * 60;
  let peakC = input.startC;
  let peakS = 0;
  let gelS: number | null = null;
  let alphaEnd = 0;
  let tempEnd = input.startC;
  const curve = [{ min: 0, tempC: input.startC, alpha: 0 }];
  let drawn = { s: 0, tempC: input.startC };
  const solved = follow(input, {
    startC: input.startC,
    seconds,
    visit: (leg) => {
      const [alpha, t] = leg.end;
      const top = hottest(input, leg);
      if (top.tempC > peakC) [peakC, peakS] = [top.tempC, top.s];
      if (gelS === null && alpha >= input.alphaGel) gelS = passes(leg, input.alphaGel);
      [alphaEnd, tempEnd] = [alpha, t];
      if (leg.to - drawn.s >= seconds / CURVE_POINTS || Math.abs(t - drawn.tempC) > 4) {
        curve.push({ min: leg.to / 60, tempC: t, alpha });
        drawn = { s: leg.to, tempC: t };
        report?.(leg.to / seconds);
      }
    },
  });
  if (!solved || !Number.isFinite(peakC))
    return refuse(
      t(
        'These constants react faster than can be followed. Check A, E and their units: 1/s and J/mol.',
      ),
    );
  const gelMin = gelS === null ? null : gelS / 60;
  curve.push({ min: input.horizonMin, tempC: tempEnd, alpha: alphaEnd });
  const found = { peakC, peakMin: peakS / 60, gelMin, alphaEnd, curve };
  return worked(found, workingOf(input, found));
}

export const exothermCalc = defineCalc({
  name: 'exotherm',
  purpose: t('How hot a batch gets from its own heat, and when it gels.'),
  input: ExothermInput,
  heavy: true,
  run: exotherm,
  result: {
    peakC: named(t('Peak'), '°C'),
    peakMin: named(t('Peak at'), 'min'),
    gelMin: named(t('Gels at'), 'min'),
    alphaEnd: named(t('Conversion at the end')),
    curve: null,
  },
  formula: [
    t('dα/dt = (k₁ + k₂·α^m)·(1 − α)^n, k = A·exp(−E/(R·T)) per second'),
    'dT/dt = (heat/cp)·dα/dt − h·A·(T − T_air)/(m·cp)',
  ],
  source: t('Kamal’s autocatalytic model with a lumped heat balance.'),
  limits: t(
    'One temperature for the whole mass, so the core of a thick batch is hotter than this says. Kinetics of the very material, measured, or it is a guess.',
  ),
  example: {
    massG: 794,
    cpJgK: 1.15,
    heatJg: 184,
    A1: 59650,
    E1: 51811,
    A2: 1307634,
    E2: 50376,
    m: 0.81,
    n: 1.36,
    alphaGel: 0.52,
    hWm2K: 7.9,
    areaM2: 0.07,
    startC: 15.8,
    ambientC: 18.9,
    horizonMin: 120,
  },
});
