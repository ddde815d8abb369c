import { draftFrom, type Method } from '../../family/family';
import { m, mm } from '../../message/message';
import { CRACK_FIGURES, isSealant } from '../../methods/crack';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { FloorCrackSurvey } from './survey';

export const method: Method<FloorCrackSurvey> = {
  stepIds,
  figureIds: CRACK_FIGURES,
  schools: ['proud', 'sand', 'moving'],
  cautions: ['silica'],
  nextLookDays: ({ look }) => ({ lasting: look.F8Lasting, stopgap: look.F8Stopgap }),
  removal: (work) => [
    isSealant(work)
      ? m('Cut both sides, pull the bead out whole.')
      : m('Chase it out with a crack blade; {deep} deep.', { deep: mm(work.buildMm) }),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
