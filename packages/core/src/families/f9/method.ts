import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { stepIds } from './coats';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { steps } from './steps';
import type { FloorPatchSurvey } from './survey';

export const method: Method<FloorPatchSurvey> = {
  stepIds,
  figureIds: ['bags', 'water', 'sealWet'],
  schools: [],
  cautions: ['silica', 'acid-etch'],
  nextLookDays: ({ look }) => ({ lasting: look.F9Lasting, stopgap: look.F9Stopgap }),
  removal: () => [m('Saw its edge, break it out; it comes with a skin of the old floor.')],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
