import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ crumb, work }: Rounds): Figure[] => {
  if (!crumb) return [];
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const each = (id: string, label: string, symbol: string, kg: number) =>
    figureOf(
      id,
      label,
      kg * 1000,
      'mass',
      [...crumb.working, line(symbol, label.toLowerCase(), t('from above'), kg * 1000, 'g')],
      paths,
    );
  return [
    each('granules', t('Granules'), 'mg', crumb.granulesKg),
    each('binder', t('Binder in all'), 'mb', crumb.binderKg),
    each('primer', t('Of it to prime'), 'mp', crumb.primerKg),
  ];
};
