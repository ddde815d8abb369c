import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { PanelSurvey } from './survey';

export const method: Method<PanelSurvey> = {
  stepIds,
  figureIds: ['wet', 'topcoatL'],
  schools: ['proud'],
  cautions: ['height', 'lamp-heat'],
  nextLookDays: ({ look }) => ({ lasting: look.F14Lasting, stopgap: look.F14Stopgap }),
  removal: () => [m('Sand it off to the old film from P120; stop before the fibre.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
