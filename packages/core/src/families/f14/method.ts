import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PanelSurvey } from './survey';

export const method: Method<PanelSurvey> = {
  stepIds,
  figureIds: ['wet', 'topcoatL'],
  schools: ['proud'],
  cautions: ['height', 'lamp-heat'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Sand it off to the old film from P120; stop before the fibre.')],
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
