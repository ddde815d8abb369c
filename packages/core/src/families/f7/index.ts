import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, tyreSurvey } from './survey';

export const f7 = defineFamily({
  survey: tyreSurvey,
  method,
  section,
  typicalParent: 'tyre-rubber',
  mostDamages: MOST_DAMAGES,
});
