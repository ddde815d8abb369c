import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { grams, m, mm } from '../../message/message';
import { fingernail, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { aidName } from '../../work/aids';
import type { StepDraft } from '../../work/step';
import { type Rounds, type W } from './rounds';

export const stepIds = ['cut', 'dry-day', 'prime', 'rake', 'trowel', 'drain', 'trip'] as const;
const step = stepsOf(stepIds);

const spots = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'spot').length;

const prepSteps = ({ work }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 5,
    extra: sentences(`Close the area to people.`),
  }),
  protect(work),
  ...removeOld(work),
  ...(spots(work) > 0
    ? [
        step.prep('cut', {
          does: 'open-up',
          title: t('Cut out loose'),
          minutes: 15 * spots(work),
          says: sentences(`
            Cut loose matting out in straight lines, back to matting that holds.
            Cut down to the base.
          `),
        }),
      ]
    : []),
  gradeStep(work, 0),
  dustOff(
    sentences(`
      Sweep the base.
      Vacuum it, and its edges.
    `),
  ),
  step.prep('dry', {
    does: 'dry',
    title: t('Bone dry'),
    minutes: 5,
    says: sentences(`
      Make sure that the base is fully dry. Binder foams on a wet base.
      Cover wood and stone beside it.
    `),
    wrong: [
      wrong(
        t('A dark, damp place'),
        t('Dry it with warm air and wait. If it becomes damp again, do not lay it today.'),
      ),
    ],
  }),
  step.prep('dry-day', {
    does: 'look',
    title: t('Dry day'),
    minutes: 2,
    says: sentences(`
      Read the forecast: no rain until the area is open again.
      Have a cover ready.
    `),
    uses: ['cover'],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, prime, primerG, main }: Rounds): StepDraft[] => [
  ...mixSteps(work, prime),
  step.touch(prime, 'prime', {
    title: t('Prime edges and base'),
    says: sentences(
      `
        Roll {amount} of the binder thinly on the base and up the edges. Put no granules in it.
        Leave no puddle.
        Wait until it is sticky.
      `,
      { amount: grams(primerG) },
    ),
    people: 1,
    figures: ['primer'],
  }),
  ...mixSteps(work, main, [
    {
      round: prime.id,
      at: 'overcoatOpens',
      until: 'overcoatCloses',
      missed: 'condition',
      why: m('The primer must be tacky, not dry.'),
    },
  ]),
  step.touch(main, 'rake', {
    title: t('Place it'),
    says: sentences(
      `
        Rake it out from the edges to the middle.
        Height: {deep}, and a little more.
      `,
      { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
    ),
    figures: ['granules', 'binder'],
  }),
  step.touch(main, 'trowel', {
    title: t('Compact and trowel'),
    says: sentences(
      `
        Spray a mist of {aid} on the trowel, never on the mat.
        Press the granules down from all sides, level with the surface beside them.
      `,
      { aid: aidName(work, 'release') },
    ),
    uses: ['release'],
    wrong: [wrong(t('It lifts with the trowel'), t('Mist the trowel again and press less.'))],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready, survey }: Rounds): StepDraft[] => [
  leave(work, main, sentences(`Cover it if it rains.`)),
  lookAndTap(
    ready,
    sentences(`
      Check that it is level at the edges.
      Brush it with a stiff brush: no grain may come loose.
    `),
    [
      wrong(
        t('Grains brush out'),
        t('Roll a thin coat of binder over them. If grains still come loose, cut that part out.'),
      ),
      wrong(t('An open edge'), t('Prime the edge, fill it and press it down.')),
    ],
  ),
  fingernail(work),
  ...(survey.matting.drains
    ? [
        step.inspect('drain', {
          title: t('Pail of water'),
          minutes: 3,
          says: sentences(`Pour a pail of water on it: all of the water must run through.`),
          wrong: [
            wrong(
              t('Water stays on it'),
              t('It has too much binder. Drill holes through it, or lay it again.'),
            ),
          ],
        }),
      ]
    : []),
  step.inspect('trip', {
    title: t('No trip'),
    minutes: 2,
    says: sentences(
      `
        Lay a straight edge over the joint.
        The step may be {most} at most.
      `,
      { most: mm(work.trade.crumb.tripMm) },
    ),
    hold: {
      kind: 'reading',
      label: m('Step at the edge'),
      quantity: 'length',
      min: null,
      max: work.trade.crumb.tripMm,
    },
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
