import { draftFrom } from '../../family/family';
import { sectionFigures } from './sectionFigures';
import { sectionNeeds } from './sectionNeeds';
import { sectionRoundsOf } from './sectionRounds';
import { sectionSteps } from './sectionSteps';

/** Work for a licensed shop: Kelmot measures the opening and gives the size of the patch. */
export const sectionDraft = draftFrom({
  rounds: sectionRoundsOf,
  steps: sectionSteps,
  needs: sectionNeeds,
  figures: sectionFigures,
});
