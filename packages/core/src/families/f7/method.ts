import { m } from '../../message/message';
import type { Method } from '../../family/family';
import type { TyreSurvey } from './survey';
import { isSection, stepIds } from './steps';
import { sectionDraft } from './sectionRepair';
import { coverDraft } from './cover';

export const method: Method<TyreSurvey> = {
  stepIds,
  figureIds: ['strips', 'stripWidth', 'marginGot', 'drops', 'opening'],
  schools: ['tyre'],
  cautions: ['tyre', 'rubber-dust'],
  nextLookDays: ({ look }) => ({ lasting: look.F7Lasting, stopgap: look.F7Stopgap }),
  removal: () => [m('Buff the cover off to the sidewall’s own rubber; heat softens the edge.')],
  draft: (work) => (isSection(work) ? sectionDraft(work) : coverDraft(work)),
};
