import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, bracketSurvey } from './survey';

export const f3 = defineFamily({
  survey: bracketSurvey,
  method,
  section,
  typicalParent: 'cast-iron',
  mostDamages: MOST_DAMAGES,
});
