import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, floorCrackSurvey } from './survey';

export const f8 = defineFamily({
  survey: floorCrackSurvey,
  method,
  section,
  typicalParent: 'concrete',
  mostDamages: MOST_DAMAGES,
});
