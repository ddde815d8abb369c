import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { MattingSurvey } from './survey';

export const method: Method<MattingSurvey> = {
  stepIds,
  figureIds: ['granules', 'binder', 'primer'],
  schools: [],
  cautions: ['rubber-dust'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Cut it in strips, lever it off; grind the binder off the base.')],
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
