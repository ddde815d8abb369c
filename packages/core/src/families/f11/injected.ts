import type { Draft } from '../../work/step';
import type { W } from './common';
import { injectedFigures } from './injectedFigures';
import { injectedNeeds } from './injectedNeeds';
import { injectedRoundsOf } from './injectedRounds';
import { injectedSteps } from './injectedSteps';

/** Resin is injected through ports. */
export function injectedDraft(work: W): Draft {
  const made = injectedRoundsOf(work);
  return {
    rounds: made.rounds,
    steps: injectedSteps(made),
    needs: injectedNeeds(made),
    figures: () => injectedFigures(made),
  };
}
