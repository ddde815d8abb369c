import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, wallCrackSurvey } from './survey';

export const f11 = defineFamily({
  survey: wallCrackSurvey,
  method,
  section,
  typicalParent: 'concrete',
  mostDamages: MOST_DAMAGES,
});
