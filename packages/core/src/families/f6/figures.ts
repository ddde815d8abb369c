import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, made, sum, primed, covers, strips }: Rounds): Figure[] => {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const lines = made.flatMap((p) => p.working);
  const ofPatch = (
    id: string,
    label: string,
    symbol: string,
    of: (p: (typeof made)[number]) => number,
  ) =>
    figureOf(
      id,
      label,
      sum(of),
      'volume',
      [...lines, line(symbol, label.toLowerCase(), t('from above'), sum(of), 'ml')],
      paths,
    );
  return [
    ofPatch('holeMl', t('In the hole'), 'Vh', (p) => p.holeMl),
    ofPatch('coverMl', t('In the cover'), 'Vc', (p) => p.coverMl),
    figureOf(
      'conditioned',
      t('Conditioned'),
      primed,
      'area',
      [...lines, line('A', t('conditioned'), t('from above'), primed, 'mm²')],
      paths,
    ),
    ...(covers.length > 0
      ? [
          figureOf(
            'strips',
            t('Strips'),
            strips,
            'count',
            [
              ...covers.map((c) =>
                line('n', t('strips'), t('length and margins over the sheet'), c.strips),
              ),
              line('n', t('strips'), t('in all'), strips),
            ],
            paths,
          ),
        ]
      : []),
  ];
};
