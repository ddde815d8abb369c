import { crackFigures } from '../../methods/crack';
import type { Figure } from '../../work/figure';
import type { Rounds } from './rounds';

/** Calculated values that the steps and the papers of the repair show. */
export const figures = ({ work, survey }: Rounds): Figure[] => crackFigures(work, survey.damages);
