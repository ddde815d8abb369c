import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, made, sum, primed, covers, strips }: Rounds): Figure[] => {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const lines = made.flatMap((p) => p.working);
  const ofPatch = ({
    id,
    label,
    symbol,
    of,
  }: {
    id: string;
    label: string;
    symbol: string;
    of: (p: (typeof made)[number]) => number;
  }) =>
    figureOf({
      id,
      label,
      value: sum(of),
      quantity: 'volume',
      working: [
        ...lines,
        line({
          symbol,
          label: label.toLowerCase(),
          expression: t('from above'),
          value: sum(of),
          unit: 'ml',
        }),
      ],
      paths,
    });
  return [
    ofPatch({ id: 'holeMl', label: t('In the hole'), symbol: 'Vh', of: (p) => p.holeMl }),
    ofPatch({ id: 'coverMl', label: t('In the cover'), symbol: 'Vc', of: (p) => p.coverMl }),
    figureOf({
      id: 'conditioned',
      label: t('Conditioned'),
      value: primed,
      quantity: 'area',
      working: [
        ...lines,
        line({
          symbol: 'A',
          label: t('conditioned'),
          expression: t('from above'),
          value: primed,
          unit: 'mm²',
        }),
      ],
      paths,
    }),
    ...(covers.length > 0
      ? [
          figureOf({
            id: 'strips',
            label: t('Strips'),
            value: strips,
            quantity: 'count',
            working: [
              ...covers.map((c) =>
                line({
                  symbol: 'n',
                  label: t('strips'),
                  expression: t('length and margins over the sheet'),
                  value: c.strips,
                }),
              ),
              line({ symbol: 'n', label: t('strips'), expression: t('in all'), value: strips }),
            ],
            paths,
          }),
        ]
      : []),
  ];
};
