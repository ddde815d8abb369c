import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { pressureFigures } from '../../methods/accept';
import { tapeMl, wrapFigures } from '../../methods/wrap';
import { closing, type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, resinMl, card, made }: Rounds): Figure[] => {
  const paths = [
    'damages.0.outsideDiameterMm',
    'damages.0.wallMm',
    'line.pressureBar',
    'line.designC',
  ];
  return [
    ...wrapFigures(work),
    ...pressureFigures(work),
    figureOf({
      id: 'resin',
      label: t('Resin in the plies'),
      value: resinMl,
      quantity: 'volume',
      working: [
        line({
          symbol: 'Vl',
          label: t('laminate'),
          expression: 'width · ply · metres',
          value: tapeMl(work),
          unit: 'ml',
        }),
        line({
          symbol: 'Vr',
          label: t('resin'),
          expression: t('Vl · its resin share'),
          value: resinMl,
          unit: 'ml',
          source: `card ${card.code}`,
        }),
      ],
    }),
    ...(made
      ? [
          figureOf({
            id: 'overlap',
            label: t('Overlap each side'),
            value: made.overlapMm,
            quantity: 'length',
            working: closing(made.working)({
              symbol: '',
              label: 'overlap',
              value: made.overlapMm,
              unit: 'mm',
            }),
            paths,
          }),
          figureOf({
            id: 'taper',
            label: t('Taper each side'),
            value: made.taperMm,
            quantity: 'length',
            working: closing(made.working)({
              symbol: '',
              label: 'taper',
              value: made.taperMm,
              unit: 'mm',
            }),
            paths,
          }),
        ]
      : []),
  ];
};
