import type { Method } from '../../family/family';
import { m } from '../../message/message';
import { stepIds } from './coats';
import { figures } from './figures';
import { needs } from './needs';
import { LOOK_DAYS, roundsOf } from './rounds';
import { steps } from './steps';
import type { FloorPatchSurvey } from './survey';

export const method: Method<FloorPatchSurvey> = {
  stepIds,
  figureIds: ['bags', 'water', 'sealWet'],
  schools: [],
  cautions: ['silica', 'acid-etch'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Saw its edge, break it out; it comes with a skin of the old floor.')],
  draft: (work) => {
    const made = roundsOf(work);
    return {
      rounds: made.all,
      steps: steps(made),
      needs: needs(made),
      figures: () => figures(made),
    };
  },
};
