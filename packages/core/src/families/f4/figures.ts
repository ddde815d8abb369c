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
  figureOf('wrapFrom', t('Prepared past the leak'), extent, 'length', [
    line(
      'x',
      t('prepared past the leak, each way'),
      wrap ? t('low-pressure wrap') : t('plug'),
      extent,
      'mm',
    ),
  ]),
];
