import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { BoardSurvey } from './survey';

export const method: Method<BoardSurvey> = {
  stepIds,
  figureIds: ['pins', 'passes', 'passSeconds', 'lampSeconds'],
  schools: [],
  cautions: ['lamp', 'discharge'],
  nextLookDays: ({ look }) => ({ lasting: look.F15Lasting, stopgap: look.F15Stopgap }),
  removal: () => [m('Mill it out again; a new board is the lasting answer.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
