import { draftFrom } from '../../family/family';
import { coverFigures } from './coverFigures';
import { coverNeeds } from './coverNeeds';
import { coverRoundsOf } from './coverRounds';
import { coverSteps } from './coverSteps';

export const coverDraft = draftFrom({
  rounds: coverRoundsOf,
  steps: coverSteps,
  needs: coverNeeds,
  figures: coverFigures,
});
