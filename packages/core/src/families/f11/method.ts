import { m } from '../../message/message';
import type { Method } from '../../family/family';
import type { WallCrackSurvey } from './survey';

import { stepIds } from './common';
import { injectedDraft } from './injected';
import { surfaceDraft } from './surface';

export const method: Method<WallCrackSurvey> = {
  stepIds,
  figureIds: ['ports', 'spacing', 'resin', 'portMinutes'],
  schools: ['moving'],
  cautions: ['silica', 'injection', 'water'],
  nextLookDays: ({ look }) => ({ lasting: look.F11Lasting, stopgap: look.F11Stopgap }),
  removal: () => [
    m('What is in the wall stays; the band and ports are ground off.'),
    m('A later crack beside it gets its own ports.'),
  ],
  draft: (work) => (work.card.injection ? injectedDraft(work) : surfaceDraft(work)),
};
