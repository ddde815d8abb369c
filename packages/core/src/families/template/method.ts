import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { lookAndTap, returnToService } from '../../methods/accept';
import { isolate } from '../../methods/begin';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { mixSteps, mixTouch } from '../../methods/mix';
import { degrease, degreaserNeed, dustOff, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf } from '../../methods/step';
import type { StairSurvey } from './survey';

const stepIds = ['fill-nosing'] as const;
const step = stepsOf(stepIds);
const LOOK_DAYS = { lasting: 180, stopgap: 14 };

export const method: Method<StairSurvey> = {
  stepIds,
  figureIds: [],
  schools: [],
  cautions: [],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Chisel it off.')],
  draft: (work) => {
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'fill',
        title: m('Nosing'),
        netMl: work.netMl,
        areaMm2: work.areaMm2,
        touches: [mixTouch(work.card), { name: 'fill-nosing', placing: 1 }],
      }),
    );
    const ready = [notBefore(main, work.demand.needed)];
    return {
      rounds: [main],
      steps: [
        isolate(work, { extra: m('Close the stairs at both ends.') }),
        degrease(work),
        gradeStep(work, 0),
        dustOff(),
        ...beforeMixing(work),
        ...mixSteps(work, main),
        step.touch(
          main,
          'fill-nosing',
          'Fill the nosing',
          m('Fill it against a board, flush with the tread.'),
        ),
        cleanTools(main),
        leave(work, main, m('Keep everybody off it.')),
        lookAndTap(ready, 'Flush, one sound, no edge that catches a boot.', []),
        ...returnToService(work, LOOK_DAYS[work.survey.intent]),
      ],
      needs: [degreaserNeed(work, m('the nosing')), ...heldNeeds(work)],
      figures: () => [],
    };
  },
};
