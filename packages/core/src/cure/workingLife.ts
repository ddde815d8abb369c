import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { positive, tempC } from '../calc/number';
import { CurePoints, cureTime, type CureTime } from './cureTime';

/** A small batch loses heat and so has a longer working life than the card's, but at most by this factor. */
const MOST_STRETCH = 1.5;
const MASS_RULE = t(
  'mass rule: a bigger batch holds its heat; exponent and reference mass from the card',
);

export const WorkingLifeInput = z.strictObject({
  points: CurePoints.meta(named(t('Card’s cure points'))),
  tempC: tempC().meta(named(t('Temperature'), '°C')),
  massG: positive().meta(named(t('Mass'), 'g')),
  refMassG: positive().meta(named(t('Card’s reference mass'), 'g')),
  massExponent: z
    .number()
    .min(0)
    .max(1)
    .meta(named(t('Mass exponent'))),
});
export type WorkingLifeInput = z.infer<typeof WorkingLifeInput>;

/** The factor on the working life at reference mass, for a batch of `massG`. */
export const massStretch = (massG: number, refMassG: number, massExponent: number): number =>
  Math.min(MOST_STRETCH, (refMassG / massG) ** massExponent);

/**
 * Minutes that a mixed batch stays workable at a temperature (°C) and batch mass (g). life = cure-time(life points, T)
 * · min(1.5, (refMass/mass)^exponent). Refuses where cure-time does.
 */
export function workingLife(input: WorkingLifeInput): Answer<CureTime> {
  const atRef = cureTime({ points: input.points, tempC: input.tempC });
  if (!atRef.ok) return atRef;
  const { massG, refMassG, massExponent } = input;
  const stretch = massStretch(massG, refMassG, massExponent);
  const minutes = atRef.minutes * stretch;
  const working = () => [
    ...atRef.working,
    line({
      symbol: 'f',
      label: t('batch mass factor'),
      expression: `min(${MOST_STRETCH}, (${formatFigure(refMassG)}/${formatFigure(massG)})^${formatFigure(massExponent)})`,
      value: stretch,
      unit: '',
      source: MASS_RULE,
    }),
    line({
      symbol: 'L',
      label: t('working life'),
      expression: `${formatFigure(atRef.minutes)}·${formatFigure(stretch)}`,
      value: minutes,
      unit: 'min',
      source: MASS_RULE,
    }),
  ];
  return worked({ minutes, basis: atRef.basis }, working);
}

export const workingLifeCalc = defineCalc({
  name: 'working-life',
  purpose: t('Minutes a mixed batch stays workable at its temperature and mass.'),
  input: WorkingLifeInput,
  run: workingLife,
  result: { minutes: named(t('Minutes'), 'min'), basis: named(t('Basis')) },
  formula: ['L = cure-time(T)·min(1.5, (m_ref/m)^x)'],
  source: t('The card’s life points, its reference mass and its mass exponent.'),
  limits: t('A batch in one compact lump. Spread thin it lives longer; in a warm pail, shorter.'),
  example: {
    points: [
      { tempC: 10, minutes: 60 },
      { tempC: 20, minutes: 40 },
      { tempC: 30, minutes: 22 },
    ],
    tempC: 17.4,
    massG: 329,
    refMassG: 500,
    massExponent: 0.4,
  },
});
