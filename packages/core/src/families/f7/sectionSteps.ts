import { sentences } from '../../message/sentences';
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
  approval('tyre-shop', m('A section repair is work for a licensed tyre shop, by its own tables.')),
  ...prepSteps(work),
  step.prep('open', {
    does: 'open-up',
    title: t('Open up'),
    minutes: 45,
    says: sentences(`
      Expose and remove every damaged cord.
      Measure the opening, not the cut.
    `),
    hold: {
      kind: 'reading',
      label: m('Longest opening'),
      quantity: 'length',
      min: 1,
      max: null,
    },
    figures: ['opening'],
  }),
  gradeStep(work, margin(work), {
    extra: sentences(`Buff the inside, larger than the patch.`),
  }),
  dustOff(),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main }: SectionRounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'patch', {
    title: t('Cement, patch, stitch'),
    says: sentences(`
      Choose the reinforced patch by the size and place of the opening.
      Lay it with its arrows to the bead.
      Roll it hard from the centre to the edges, until no air is left.
    `),
  }),
  step.touch(main, 'fill-out', {
    title: t('Fill outside'),
    says: sentences(`
      Fill the opening with uncured rubber, in layers.
      Roll each layer down. Leave the last layer proud.
    `),
  }),
  step.during(main, 'heat-cure', {
    at: 'tackFree',
    title: t('Heat cure'),
    minutes: 60,
    says: sentences(`
      Put on the heat pads and air bags of the shop.
      Cure it for the time of the shop’s method.
      Let it cool under pressure.
    `),
  }),
];

const acceptSteps = ({ work, main, ready }: SectionRounds): StepDraft[] => [
  leave(work, main),
  step.inspect('contour', {
    title: t('Buff to the contour'),
    minutes: 15,
    says: sentences(`
      Buff the rubber until no step is left.
      Tap the patch: no air may be under it.
      Remove the dust.
    `),
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
