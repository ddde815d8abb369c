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
    line({ symbol: 'V', label: t('filler'), expression: t('all coats'), value: ml, unit: 'ml' }),
    line({
      symbol: 's',
      label: t('solids'),
      expression: survey.surface.slope === 'level' ? t('syrup for a flat') : t('paste for a wall'),
      value: solidsFor(mix, survey.surface.slope) * 100,
      unit: '%',
      source: `card ${work.card.code}`,
    }),
  ];
  const solventMl = solventG / mix.solventDensityGml;
  return [
    figureOf({
      id: 'pellets',
      label: t('Pellets'),
      value: pellets,
      quantity: 'mass',
      working: [
        ...common,
        line({
          symbol: 'mp',
          label: t('pellets'),
          expression: `V·${mix.density}·s`,
          value: pellets,
          unit: 'g',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'solvent',
      label: t('Solvent'),
      value: solventMl,
      quantity: 'volume',
      working: [
        ...common,
        line({
          symbol: 'ms',
          label: t('solvent'),
          expression: `V·${mix.density}·(1 − s)`,
          value: solventG,
          unit: 'g',
        }),
        line({
          symbol: 'Vs',
          label: t('solvent'),
          expression: `ms/${mix.solventDensityGml}`,
          value: solventMl,
          unit: 'ml',
        }),
      ],
      paths,
    }),
  ];
};
