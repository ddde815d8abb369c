import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, sumpSurvey } from './survey';

export const f13 = defineFamily({
  survey: sumpSurvey,
  method,
  section,
  typicalParent: 'grp',
  mostDamages: MOST_DAMAGES,
});
