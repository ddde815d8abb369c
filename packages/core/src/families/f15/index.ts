import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, boardSurvey } from './survey';

export const f15 = defineFamily({
  survey: boardSurvey,
  method,
  section,
  typicalParent: 'board-laminate',
  mostDamages: MOST_DAMAGES,
});
