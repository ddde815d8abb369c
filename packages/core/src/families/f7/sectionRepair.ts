import type { Draft } from '../../work/step';
import { sectionFigures } from './sectionFigures';
import { sectionNeeds } from './sectionNeeds';
import { sectionRoundsOf } from './sectionRounds';
import { sectionSteps } from './sectionSteps';
import type { W } from './steps';

/** Work for a licensed shop: Kelmot measures the opening and gives the size of the patch. */
export function sectionDraft(work: W): Draft {
  const made = sectionRoundsOf(work);
  return {
    rounds: made.rounds,
    steps: sectionSteps(made),
    needs: sectionNeeds(made),
    figures: () => sectionFigures(made),
  };
}
