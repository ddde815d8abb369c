import { defineFamily } from '../../family/family';
import { method } from './method';
import { section } from './section';
import { MOST_DAMAGES, stairSurvey } from './survey';

/** The template of a family: a complete one, which no registry lists. See docs/adding-a-family.md. */
export const template = defineFamily({
  survey: stairSurvey,
  method,
  section,
  typicalParent: 'concrete',
  mostDamages: MOST_DAMAGES,
});
