import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, refuse, worked, type Answer } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, positive } from '../calc/number';

/** Within this of the target counts as on target. */
const ON_TARGET = 1e-9;

export const DissolveInput = z
  .strictObject({
    pelletsG: atLeastZero().meta(named(t('Pellets in it'), 'g')),
    solventMl: atLeastZero().meta(named(t('Solvent in it'), 'ml')),
    solventDensityGml: positive().meta(named(t('Density of solvent'), 'g/ml')),
    targetSolids: z
      .number()
      .min(0)
      .max(1)
      .meta(named(t('Solids wanted'))),
  })
  .refine((i) => i.pelletsG > 0 || i.solventMl > 0, {
    path: ['pelletsG'],
    message: t('must be over 0, or solventMl must be: there is nothing in the jar'),
  });
export type DissolveInput = z.output<typeof DissolveInput>;
export interface Dissolve {
  solids: number;
  addPelletsG: number;
  addSolventMl: number;
}

/**
 * Mass fraction of polymer in a solution of pellets (g) in solvent (ml), and what to add to reach a target. Refuses a
 * target of pure solvent with pellets in it, or of pure pellets with solvent in it.
 */
export function dissolve(input: DissolveInput): Answer<Dissolve> {
  const { pelletsG, solventMl, solventDensityGml, targetSolids } = input;
  const solventG = solventMl * solventDensityGml;
  if (targetSolids === 0 && pelletsG > 0)
    return refuse(t('With pellets in it, it never becomes pure solvent. Start a new jar.'));
  if (targetSolids === 1 && solventG > 0)
    return refuse(
      t(
        'With solvent in it, adding pellets never makes it all solid. Let the solvent off instead.',
      ),
    );
  const solids = pelletsG / (pelletsG + solventG);
  const off = solids - targetSolids;
  const short = off < -ON_TARGET;
  const long = off > ON_TARGET;
  const addPelletsG = short ? (targetSolids * solventG) / (1 - targetSolids) - pelletsG : 0;
  const addSolventG = long ? (pelletsG * (1 - targetSolids)) / targetSolids - solventG : 0;
  const addSolventMl = addSolventG / solventDensityGml;
  const working = [
    line({
      symbol: 'ms',
      label: t('solvent'),
      expression: `${formatFigure(solventMl)}·${formatFigure(solventDensityGml)}`,
      value: solventG,
      unit: 'g',
    }),
    line({
      symbol: '+P',
      label: t('pellets to add'),
      expression: short
        ? `${formatFigure(targetSolids)}·ms/(1 − ${formatFigure(targetSolids)}) − ${formatFigure(pelletsG)}`
        : t('none'),
      value: addPelletsG,
      unit: 'g',
    }),
    line({
      symbol: '+S',
      label: t('solvent to add'),
      expression: long
        ? `(${formatFigure(pelletsG)}·(1 − ${formatFigure(targetSolids)})/${formatFigure(targetSolids)} − ms)/${formatFigure(solventDensityGml)}`
        : t('none'),
      value: addSolventMl,
      unit: 'ml',
    }),
    line({
      symbol: 'w',
      label: t('solids now, by mass'),
      expression: `${formatFigure(pelletsG)}/(${formatFigure(pelletsG)} + ${formatFigure(solventG)})`,
      value: solids,
    }),
  ];
  return worked({ solids, addPelletsG, addSolventMl }, working);
}

export const dissolveCalc = defineCalc({
  name: 'dissolve',
  purpose: t('Solids of a dissolved-polymer filler, and what to add to reach paste or syrup.'),
  input: DissolveInput,
  run: dissolve,
  result: {
    solids: named(t('Solids')),
    addPelletsG: named(t('Pellets to add'), 'g'),
    addSolventMl: named(t('Solvent to add'), 'ml'),
  },
  formula: [
    'w = pellets/(pellets + solvent·ρ)',
    t('add pellets w_t·S/(1 − w_t) − P, or solvent P·(1 − w_t)/w_t − S'),
  ],
  source: t('Mass balance.'),
  limits: t(
    'Highly flammable: no ignition, ventilate. Solvent that left the jar is not counted; weigh again.',
  ),
  example: { pelletsG: 318, solventMl: 495, solventDensityGml: 0.79, targetSolids: 0.49 },
});
