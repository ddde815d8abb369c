import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, pipeLeakSurvey } from './survey';

export const f4 = defineFamily({
  survey: pipeLeakSurvey,
  method,
  section,
  typicalParent: 'carbon-steel',
  mostDamages: MOST_DAMAGES,
});
