import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { CRACK_FIGURES } from '../../methods/crack';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { YardCrackSurvey } from './survey';

export const method: Method<YardCrackSurvey> = {
  stepIds,
  figureIds: CRACK_FIGURES,
  schools: ['sand', 'moving'],
  cautions: ['silica', 'traffic'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Cut both sides with a crack saw, lever it out in lengths; the sand stays.')],
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
