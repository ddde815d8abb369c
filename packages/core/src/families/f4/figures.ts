import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { pressureFigures } from '../../methods/accept';
import { wrapFigures } from '../../methods/wrap';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, extent, wrap }: Rounds): Figure[] => [
  ...wrapFigures(work),
  ...pressureFigures(work),
  figureOf({
    id: 'wrapFrom',
    label: t('Prepared past the leak'),
    value: extent,
    quantity: 'length',
    working: [
      line({
        symbol: 'x',
        label: t('prepared past the leak, each way'),
        expression: wrap ? t('low-pressure wrap') : t('plug'),
        value: extent,
        unit: 'mm',
      }),
    ],
  }),
];
