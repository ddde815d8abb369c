import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { SumpSurvey } from './survey';

export const method: Method<SumpSurvey> = {
  stepIds,
  figureIds: ['cloth'],
  schools: ['wet'],
  cautions: ['water', 'alone'],
  nextLookDays: ({ look }) => ({ lasting: look.F13Lasting, stopgap: look.F13Stopgap }),
  removal: () => [m('Drain it, chisel along the bed, lift; grind off what stays.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
