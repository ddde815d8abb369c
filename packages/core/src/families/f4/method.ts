import { draftFrom, type Method } from '../../family/family';
import { m, mm } from '../../message/message';
import { WRAP_FIGURES, WRAP_OFF } from '../../methods/wrap';
import { figures } from './figures';
import { needs } from './needs';
import { isWrap, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PipeLeakSurvey } from './survey';

export const method: Method<PipeLeakSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'wrapFrom'],
  schools: ['plug', 'soak'],
  cautions: ['pressure'],
  nextLookDays: ({ look }) => ({ lasting: look.F4Lasting, stopgap: look.F4Stopgap }),
  removal: (work) =>
    isWrap(work)
      ? WRAP_OFF
      : [
          m('Chisel the plug out; {extent} round it grind clean.', {
            extent: mm(work.site.extentMm),
          }),
        ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
