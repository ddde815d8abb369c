import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { dissolved, LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { TankSurvey } from './survey';

export const method: Method<TankSurvey> = {
  stepIds,
  figureIds: ['pellets', 'solvent'],
  schools: ['wet'],
  cautions: ['no-ignition', 'no-ship'],
  nextLookDays: LOOK_DAYS,
  removal: (work) => [
    dissolved(work)
      ? m('It is one with the shell: it is cut out with it.')
      : m('Chisel the putty out; key and fill again.'),
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
