import { draftFrom, type Method } from '../../family/family';
import { WRAP_FIGURES, WRAP_OFF } from '../../methods/wrap';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PipeWrapSurvey } from './survey';

export const method: Method<PipeWrapSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'overlap', 'taper', 'resin'],
  schools: ['plug'],
  cautions: ['pressure'],
  nextLookDays: ({ look }) => ({ lasting: look.F5Lasting, stopgap: look.F5Stopgap }),
  removal: () => WRAP_OFF,
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
