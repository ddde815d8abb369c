import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { dissolved, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { TankSurvey } from './survey';

export const method: Method<TankSurvey> = {
  stepIds,
  figureIds: ['pellets', 'solvent'],
  schools: ['wet'],
  cautions: ['no-ignition', 'no-ship'],
  nextLookDays: ({ look }) => ({ lasting: look.F12Lasting, stopgap: look.F12Stopgap }),
  removal: (work) => [
    dissolved(work)
      ? m('It is one with the shell: it is cut out with it.')
      : m('Chisel the putty out; key and fill again.'),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
