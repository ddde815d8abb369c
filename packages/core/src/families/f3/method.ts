import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { BracketSurvey } from './survey';

export const method: Method<BracketSurvey> = {
  stepIds,
  figureIds: ['bond', 'proof', 'envelope'],
  schools: [],
  cautions: [],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m('Grind or file it off; heat over its limit lets it go.'),
    m('A new part goes in as if nothing had been there.'),
  ],
  draft: (work) => {
    const made = roundsOf(work);
    return {
      rounds: made.rounds,
      steps: steps(made),
      needs: needs(made),
      figures: () => figures(made),
    };
  },
};
