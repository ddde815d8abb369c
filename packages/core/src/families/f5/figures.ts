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
    figureOf('resin', t('Resin in the plies'), resinMl, 'volume', [
      line('Vl', t('laminate'), 'width · ply · metres', tapeMl(work), 'ml'),
      line('Vr', t('resin'), t('Vl · its resin share'), resinMl, 'ml', `card ${card.code}`),
    ]),
    ...(made
      ? [
          figureOf(
            'overlap',
            t('Overlap each side'),
            made.overlapMm,
            'length',
            closing(made.working)('', 'overlap', made.overlapMm, 'mm'),
            paths,
          ),
          figureOf(
            'taper',
            t('Taper each side'),
            made.taperMm,
            'length',
            closing(made.working)('', 'taper', made.taperMm, 'mm'),
            paths,
          ),
        ]
      : []),
  ];
};
