import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { BoardSurvey } from './survey';

export const method: Method<BoardSurvey> = {
  stepIds,
  figureIds: ['pins', 'passes', 'passSeconds', 'lampSeconds'],
  schools: [],
  cautions: ['lamp', 'discharge'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Mill it out again; a new board is the lasting answer.')],
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
