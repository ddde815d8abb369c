import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, rebuildSurvey } from './survey';

export const f2 = defineFamily({
  survey: rebuildSurvey,
  method,
  section,
  typicalParent: 'carbon-steel',
  mostDamages: MOST_DAMAGES,
});
