import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { boltSequence } from '../../geometry/boltSequence';
import { pressureFigures } from '../../methods/accept';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ bolts, work }: Rounds): Figure[] => {
  const star = boltSequence({ count: bolts });
  return [
    figureOf({
      id: 'bolts',
      label: t('Bolts, in a star'),
      value: bolts,
      quantity: 'count',
      working: [
        ...star.working,
        line({ symbol: '', label: t('order'), expression: star.order.join(' '), value: bolts }),
      ],
      paths: ['joint.bolts'],
    }),
    ...pressureFigures(work),
  ];
};
