import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { FlangeSurvey } from './survey';

/** The face is cast against a copy of the good one, closed while wet, opened when hard. */
export const method: Method<FlangeSurvey> = {
  stepIds,
  figureIds: ['bolts'],
  schools: ['proud'],
  cautions: ['pressure'],
  nextLookDays: ({ look }) => ({ lasting: look.F1Lasting, stopgap: look.F1Stopgap }),
  removal: () => [
    m(
      'Warm the face over the card’s heat limit and chisel the ring off in pieces, or machine it away.',
    ),
    m('The parent is untouched: it can be rebuilt again.'),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
