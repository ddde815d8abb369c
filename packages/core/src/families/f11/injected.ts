import { draftFrom } from '../../family/family';
import { injectedFigures } from './injectedFigures';
import { injectedNeeds } from './injectedNeeds';
import { injectedRoundsOf } from './injectedRounds';
import { injectedSteps } from './injectedSteps';

/** The method with injection: resin is injected through ports. */
export const injectedDraft = draftFrom({
  rounds: injectedRoundsOf,
  steps: injectedSteps,
  needs: injectedNeeds,
  figures: injectedFigures,
});
