import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, tankSurvey } from './survey';

export const f12 = defineFamily({
  survey: tankSurvey,
  method,
  section,
  typicalParent: 'pvc',
  mostDamages: MOST_DAMAGES,
});
