import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, panelSurvey } from './survey';

export const f14 = defineFamily({
  survey: panelSurvey,
  method,
  section,
  typicalParent: 'grp',
  mostDamages: MOST_DAMAGES,
});
