import { t } from '../../text/text';
import { type Figure, figureOf } from '../../work/figure';
import { clothLines, clothMm2, type Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ patch, work }: Rounds): Figure[] =>
  patch
    ? [
        figureOf({
          id: 'cloth',
          label: t('Cloth'),
          value: clothMm2(work),
          quantity: 'area',
          working: clothLines(work),
          paths: ['damages.0.lengthMm', 'damages.0.widthMm'],
        }),
      ]
    : [];
