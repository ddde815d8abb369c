import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { MattingSurvey } from './survey';

export const method: Method<MattingSurvey> = {
  stepIds,
  figureIds: ['granules', 'binder', 'primer'],
  schools: [],
  cautions: ['rubber-dust'],
  nextLookDays: ({ look }) => ({ lasting: look.F16Lasting, stopgap: look.F16Stopgap }),
  removal: () => [m('Cut it in strips, lever it off; grind the binder off the base.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
