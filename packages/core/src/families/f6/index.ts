import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, beltSurvey } from './survey';

export const f6 = defineFamily({
  survey: beltSurvey,
  method,
  section,
  typicalParent: 'belt-rubber',
  mostDamages: MOST_DAMAGES,
});
