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
    extra: m('Closed to people; a dry day, and dry until its time is up.'),
  }),
  protect(work),
  ...removeOld(work),
  ...(spots(work) > 0
    ? [
        step.prep('cut', {
          does: 'open-up',
          title: t('Cut out loose'),
          minutes: 15 * spots(work),
          text: m('Cut square to where it holds, straight edges, down to the base.'),
        }),
      ]
    : []),
  gradeStep(work, 0),
  dustOff(t('Sweep, then vacuum, edges too.')),
  step.prep('dry', {
    does: 'dry',
    title: t('Bone dry'),
    minutes: 5,
    text: m(
      'The base must be fully dry: binder foams on a wet base. Cover wood or stone beside it.',
    ),
    wrong: [
      wrong(
        t('A dark, damp place'),
        t('Dry it with warm air and wait. If the moisture comes back, do not lay it today.'),
      ),
    ],
  }),
  step.prep('dry-day', {
    does: 'look',
    title: t('Dry day'),
    minutes: 2,
    text: m('The forecast must show no rain until the place is open again. Have a cover ready.'),
    uses: ['cover'],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, prime, primerG, main }: Rounds): StepDraft[] => [
  ...mixSteps(work, prime).filter((s) => s.name !== 'lay-out'),
  step.touch(prime, 'prime', {
    title: t('Prime edges and base'),
    text: m(
      'Roll {amount} of the binder thinly on the base and up the edges. It must become tacky; no puddle may stay.',
      {
        amount: grams(primerG),
      },
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
    text: m('Spread it with a rake, {deep} deep and a little higher, edges first.', {
      deep: mm(work.buildMm),
    }),
    figures: ['granules', 'binder'],
  }),
  step.touch(main, 'trowel', {
    title: t('Compact and trowel'),
    text: m(
      'Mist the trowel with {aid}; never spray the mat. Compact it from all sides, level with the surface beside it.',
      { aid: aidName(work, 'release') },
    ),
    uses: ['release'],
    wrong: [wrong(t('It lifts with the trowel'), t('Mist the trowel again and press less.'))],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready, survey }: Rounds): StepDraft[] => [
  leave(
    work,
    main,
    m('Keep it closed until the time of the card has passed. Cover it if it rains.'),
  ),
  lookAndTap(
    ready,
    t('Check that it is level at the edges. Brush it with a stiff brush: no grain may come loose.'),
    [
      wrong(
        t('Grains brush out'),
        t('Near the surface: roll a thin coat of binder over it. Deeper: cut it out.'),
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
          text: m('Pour a pail of water on it. All of the water must run through.'),
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
    text: m('Lay a straight edge over the joint. The step may be {most} at most.', {
      most: mm(work.trade.crumb.tripMm),
    }),
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
