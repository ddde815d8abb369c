import { crackFigures } from '../../methods/crack';
import type { Figure } from '../../work/figure';
import type { Rounds } from './rounds';

/** The figures that its steps and its papers show. */
export const figures = ({ work, survey }: Rounds): Figure[] => crackFigures(work, survey.damages);
