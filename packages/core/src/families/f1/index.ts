import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, flangeSurvey } from './survey';

export const f1 = defineFamily({
  survey: flangeSurvey,
  method,
  section,
  typicalParent: 'carbon-steel',
  mostDamages: MOST_DAMAGES,
});
