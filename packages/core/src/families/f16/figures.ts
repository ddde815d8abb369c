import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ crumb, work }: Rounds): Figure[] => {
  if (!crumb) return [];
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const each = ({
    id,
    label,
    symbol,
    kg,
  }: {
    id: string;
    label: string;
    symbol: string;
    kg: number;
  }) =>
    figureOf({
      id,
      label,
      value: kg * 1000,
      quantity: 'mass',
      working: [
        ...crumb.working,
        line({
          symbol,
          label: label.toLowerCase(),
          expression: t('from above'),
          value: kg * 1000,
          unit: 'g',
        }),
      ],
      paths,
    });
  return [
    each({ id: 'granules', label: t('Granules'), symbol: 'mg', kg: crumb.granulesKg }),
    each({ id: 'binder', label: t('Binder in all'), symbol: 'mb', kg: crumb.binderKg }),
    each({ id: 'primer', label: t('Of it to prime'), symbol: 'mp', kg: crumb.primerKg }),
  ];
};
