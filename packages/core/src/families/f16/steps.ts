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

/** Largest step at the edge that is not a trip hazard, mm. */
const TRIP_MM = 3;

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
        step.prep(
          'cut',
          'open-up',
          t('Cut out loose'),
          15 * spots(work),
          m('Cut square to where it holds, straight edges, down to the base.'),
        ),
      ]
    : []),
  gradeStep(work, 0),
  dustOff(t('Sweep, then vacuum; edges too.')),
  step.prep(
    'dry',
    'dry',
    t('Bone dry'),
    5,
    m('Bone dry: binder foams on a wet base. Wood or stone beside it covered.'),
    {
      wrong: [wrong(t('A dark, damp place'), t('Warm air, wait. Not today if it comes back.'))],
    },
  ),
  step.prep(
    'dry-day',
    'look',
    t('Dry day'),
    2,
    m('No rain in the forecast until it is open; cover at hand.'),
    { uses: ['cover'] },
  ),
  ...beforeMixing(work),
];

const buildSteps = ({ work, prime, primerG, main }: Rounds): StepDraft[] => [
  ...mixSteps(work, prime).filter((s) => s.name !== 'lay-out'),
  step.touch(
    prime,
    'prime',
    t('Prime edges and base'),
    m('{amount} of the binder, thin, by roller, on the base and up the edges; tacky, no puddle.', {
      amount: grams(primerG),
    }),
    {
      people: 1,
      figures: ['primer'],
    },
  ),
  ...mixSteps(work, main, [
    {
      round: prime.id,
      at: 'overcoatOpens',
      until: 'overcoatCloses',
      missed: 'condition',
      why: m('Primer tacky, not dry.'),
    },
  ]),
  step.touch(
    main,
    'rake',
    t('Place it'),
    m('Spread by rake, {deep} and a little proud, edges first.', { deep: mm(work.buildMm) }),
    { figures: ['granules', 'binder'] },
  ),
  step.touch(
    main,
    'trowel',
    t('Compact and trowel'),
    m(
      'Trowel misted with {aid}; never spray the mat. Compact from all sides, level with what is beside it.',
      { aid: aidName(work, 'release') },
    ),
    {
      uses: ['release'],
      wrong: [wrong(t('It lifts with the trowel'), t('Mist the trowel again, less pressure.'))],
    },
  ),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready, survey }: Rounds): StepDraft[] => [
  leave(work, main, m('Closed until the card’s time is up; covered if it rains.')),
  lookAndTap(ready, t('Level at the edges, no loose grain under a stiff brush.'), [
    wrong(t('Grains brush out'), t('Starved: roll a thin coat of binder over it. Deep: cut out.')),
    wrong(t('An open edge'), t('Prime it, fill it, press.')),
  ]),
  fingernail(work),
  ...(survey.matting.drains
    ? [
        step.inspect('drain', t('Pail of water'), 3, m('It runs through, none stands.'), {
          wrong: [wrong(t('It stands'), t('Too much binder: drill through, or lay again.'))],
        }),
      ]
    : []),
  step.inspect(
    'trip',
    t('No trip'),
    2,
    m('Straight edge over the joint: {most} at most, nothing to catch a foot.', {
      most: mm(TRIP_MM),
    }),
    {
      hold: {
        kind: 'reading',
        label: m('Step at the edge'),
        quantity: 'length',
        min: null,
        max: TRIP_MM,
      },
    },
  ),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
