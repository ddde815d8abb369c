import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { LOOK_DAYS, stepIds, steps } from './steps';
import type { SumpSurvey } from './survey';

export const method: Method<SumpSurvey> = {
  stepIds,
  figureIds: ['cloth'],
  schools: ['wet'],
  cautions: ['water', 'alone'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Drain it, chisel along the bed, lift; grind off what stays.')],
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
