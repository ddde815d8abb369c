import { sentences } from '../../message/sentences';
import { t } from '../../text/text';

import { lookAndTap } from '../../methods/accept';
import { isolate } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, dustOff, gradeStep } from '../../methods/prep';
import { stepsOf } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import type { Rounds } from './rounds';

export const stepIds = ['fill-nosing'] as const;
const step = stepsOf(stepIds);

const prepSteps = ({ work }: Rounds): StepDraft[] => [
  isolate(work, {
    extra: sentences(`Close the stairs at both ends.`),
  }),
  degrease(work),
  gradeStep(work, 0),
  dustOff(),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'fill-nosing', {
    title: t('Fill the nosing'),
    says: sentences(`Fill the nosing against a board, flush with the tread.`),
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main, sentences(`Keep everybody off it.`)),
  lookAndTap(
    ready,
    sentences(`
      Check that it is flush and that no edge catches a boot.
      Tap it: the sound must be the same everywhere.
    `),
    [],
  ),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
