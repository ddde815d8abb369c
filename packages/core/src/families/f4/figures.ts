import { line } from '../../calc/calc';
import { pressureFigures } from '../../methods/accept';
import { wrapFigures } from '../../methods/wrap';
import { type Figure, figureOf } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, extent, wrap }: Rounds): Figure[] => [
  ...wrapFigures(work),
  ...pressureFigures(work),
  figureOf('wrapFrom', 'Prepared past the leak', extent, 'length', [
    line(
      'x',
      'prepared past the leak, each way',
      wrap ? 'low-pressure wrap' : 'plug',
      extent,
      'mm',
    ),
  ]),
];
