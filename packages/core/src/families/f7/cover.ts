import type { Draft } from '../../work/step';
import { coverFigures } from './coverFigures';
import { coverNeeds } from './coverNeeds';
import { coverRoundsOf } from './coverRounds';
import { coverSteps } from './coverSteps';
import type { W } from './steps';

export function coverDraft(work: W): Draft {
  const made = coverRoundsOf(work);
  return {
    rounds: made.rounds,
    steps: coverSteps(made),
    needs: coverNeeds(made),
    figures: () => coverFigures(made),
  };
}
