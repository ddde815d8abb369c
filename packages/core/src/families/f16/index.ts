import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, mattingSurvey } from './survey';

export const f16 = defineFamily({
  survey: mattingSurvey,
  method,
  section,
  typicalParent: 'concrete',
  mostDamages: MOST_DAMAGES,
});
