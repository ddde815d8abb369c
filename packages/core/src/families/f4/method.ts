import type { Method } from '../../family/family';
import { m, mm } from '../../message/message';
import { WRAP_FIGURES, WRAP_OFF } from '../../methods/wrap';
import { figures } from './figures';
import { needs } from './needs';
import { isWrap, LOOK_DAYS, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PipeLeakSurvey } from './survey';

export const method: Method<PipeLeakSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'wrapFrom'],
  schools: ['plug', 'soak'],
  cautions: ['pressure'],
  nextLookDays: LOOK_DAYS,
  removal: (work) =>
    isWrap(work)
      ? WRAP_OFF
      : [
          m('Chisel the plug out; {extent} round it grind clean.', {
            extent: mm(work.site.extentMm),
          }),
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
