import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { isSheet, roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { BeltSurvey } from './survey';

export const method: Method<BeltSurvey> = {
  stepIds,
  figureIds: ['holeMl', 'coverMl', 'strips', 'conditioned'],
  schools: [],
  cautions: ['rubber-dust', 'moving'],
  nextLookDays: ({ look }) => ({ lasting: look.F6Lasting, stopgap: look.F6Stopgap }),
  removal: (work) => [
    isSheet(work)
      ? m('Cut along the edge, grip, peel back hard; grind the cement off.')
      : m('Cut round it, peel it, grind to the belt’s own rubber.'),
    m('When a splice is made it goes with the old length.'),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
