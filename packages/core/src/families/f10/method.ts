import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { CRACK_FIGURES } from '../../methods/crack';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { YardCrackSurvey } from './survey';

export const method: Method<YardCrackSurvey> = {
  stepIds,
  figureIds: CRACK_FIGURES,
  schools: ['sand', 'moving'],
  cautions: ['silica', 'traffic'],
  nextLookDays: ({ look }) => ({ lasting: look.F10Lasting, stopgap: look.F10Stopgap }),
  removal: () => [m('Cut both sides with a crack saw, lever it out in lengths; the sand stays.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
