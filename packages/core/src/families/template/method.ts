import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { StairSurvey } from './survey';

export const method: Method<StairSurvey> = {
  stepIds,
  figureIds: [],
  schools: [],
  cautions: [],
  nextLookDays: () => ({ lasting: 180, stopgap: 14 }),
  removal: () => [m('Chisel it off.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs }),
};
