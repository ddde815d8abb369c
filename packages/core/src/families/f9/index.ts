import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, floorPatchSurvey } from './survey';

export const f9 = defineFamily({
  survey: floorPatchSurvey,
  method,
  section,
  typicalParent: 'concrete',
  mostDamages: MOST_DAMAGES,
});
