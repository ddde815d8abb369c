import { draftFrom, type Method } from '../../family/family';
import { m } from '../../message/message';
import { figures } from './figures';
import { needs } from './needs';
import { roundsOf } from './rounds';
import { stepIds, steps } from './steps';
import type { BracketSurvey } from './survey';

export const method: Method<BracketSurvey> = {
  stepIds,
  figureIds: ['bond', 'proof', 'envelope'],
  schools: [],
  cautions: [],
  nextLookDays: ({ look }) => ({ lasting: look.F3Lasting, stopgap: look.F3Stopgap }),
  removal: () => [
    m('Grind or file it off; heat over its limit lets it go.'),
    m('A new part goes in as if nothing had been there.'),
  ],
  draft: draftFrom({ rounds: roundsOf, steps, needs, figures }),
};
