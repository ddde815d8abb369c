import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { Round } from '../../work/round';
import { solidsFor } from '../../work/weighing';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, rounds, survey }: Rounds): Figure[] => {
  const { mix } = work.card;
  if (mix.kind !== 'dissolved') return [];
  const paths = [...work.bodies.flatMap((b) => b.body.paths), 'surface.slope'];
  const sum = (of: (b: Round['batches'][number]) => number | null) =>
    rounds.reduce((s, r) => s + r.batches.reduce((t, b) => t + (of(b) ?? 0), 0), 0);
  const [pellets, solventG, ml] = [sum((b) => b.aG), sum((b) => b.bG), sum((b) => b.ml)];
  const common = [
    line('V', t('filler'), t('all coats'), ml, 'ml'),
    line(
      's',
      t('solids'),
      survey.surface.slope === 'level' ? t('syrup for a flat') : t('paste for a wall'),
      solidsFor(mix, survey.surface.slope) * 100,
      '%',
      `card ${work.card.code}`,
    ),
  ];
  const solventMl = solventG / mix.solventDensityGml;
  return [
    figureOf(
      'pellets',
      t('Pellets'),
      pellets,
      'mass',
      [...common, line('mp', t('pellets'), `V·${mix.density}·s`, pellets, 'g')],
      paths,
    ),
    figureOf(
      'solvent',
      t('Solvent'),
      solventMl,
      'volume',
      [
        ...common,
        line('ms', t('solvent'), `V·${mix.density}·(1 − s)`, solventG, 'g'),
        line('Vs', t('solvent'), `ms/${mix.solventDensityGml}`, solventMl, 'ml'),
      ],
      paths,
    ),
  ];
};
