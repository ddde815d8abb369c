import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { RebuildSurvey } from './survey';

export const method: Method<RebuildSurvey> = {
  stepIds,
  figureIds: [],
  schools: ['proud'],
  cautions: [],
  nextLookDays: ({ look }) => ({ lasting: look.F2Lasting, stopgap: look.F2Stopgap }),
  removal: () => [
    m('Grind it off, or warm it over its heat limit and chisel it away in pieces.'),
    m('Machine a seat back to the parent.'),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
