import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, pipeWrapSurvey } from './survey';

export const f5 = defineFamily({
  survey: pipeWrapSurvey,
  method,
  section,
  typicalParent: 'carbon-steel',
  mostDamages: MOST_DAMAGES,
});
