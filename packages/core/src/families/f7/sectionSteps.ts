import { t } from '../../text/text';
import { m } from '../../message/message';
import { approval } from '../../methods/begin';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep } from '../../methods/prep';
import type { StepDraft } from '../../work/step';
import type { SectionRounds } from './sectionRounds';
import { inflate, margin, prepSteps, step } from './steps';

const readySteps = ({ work }: SectionRounds): StepDraft[] => [
  approval('tyre-shop', m('A section repair is the licensed shop’s work, to its own table.')),
  ...prepSteps(work),
  step.prep('open', {
    does: 'open-up',
    title: t('Open up'),
    minutes: 45,
    text: m('Expose and remove every damaged cord; the opening is what is measured, not the cut.'),
    hold: {
      kind: 'reading',
      label: m('Longest opening'),
      quantity: 'length',
      min: 1,
      max: null,
    },
    figures: ['opening'],
  }),
  gradeStep(work, margin(work), { extra: m('Inside, larger than the patch.') }),
  dustOff(),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main }: SectionRounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'patch', {
    title: t('Cement, patch, stitch'),
    text: m(
      'Reinforced patch by opening and position, arrows to the bead. Stitch from the centre, no air.',
    ),
  }),
  step.touch(main, 'fill-out', {
    title: t('Fill outside'),
    text: m('Uncured rubber into the opening, stitched in layers, proud.'),
  }),
  step.during(main, 'heat-cure', {
    at: 'tackFree',
    title: t('Heat cure'),
    minutes: 60,
    text: m('Heat pads and air bags, by the shop’s clock. Cool under pressure.'),
  }),
];

const acceptSteps = ({ work, main, ready }: SectionRounds): StepDraft[] => [
  leave(work, main),
  step.inspect('contour', {
    title: t('Buff to the contour'),
    minutes: 15,
    text: m('There must be no step. Tap the patch: no air may be under it. Remove the dust.'),
    after: ready,
    does: 'finish',
  }),
  inflate(),
];

/** All steps of the repair, in working order. */
export const sectionSteps = (made: SectionRounds): StepDraft[] => [
  ...readySteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
