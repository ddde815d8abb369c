import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { RebuildSurvey } from './survey';

export const method: Method<RebuildSurvey> = {
  stepIds,
  figureIds: [],
  schools: ['proud'],
  cautions: [],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m('Grind it off, or warm it over its heat limit and chisel it away in pieces.'),
    m('Machine a seat back to the parent.'),
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
