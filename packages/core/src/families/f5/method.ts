import type { Method } from '../../family/family';
import { WRAP_FIGURES, WRAP_OFF } from '../../methods/wrap';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PipeWrapSurvey } from './survey';

export const method: Method<PipeWrapSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'overlap', 'taper', 'resin'],
  schools: ['plug'],
  cautions: ['pressure'],
  nextLookDays: LOOK_DAYS,
  removal: () => WRAP_OFF,
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
