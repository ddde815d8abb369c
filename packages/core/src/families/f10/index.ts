import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, yardCrackSurvey } from './survey';

export const f10 = defineFamily({
  survey: yardCrackSurvey,
  method,
  section,
  typicalParent: 'asphalt',
  mostDamages: MOST_DAMAGES,
});
