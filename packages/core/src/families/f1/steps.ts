import { t } from '../../text/text';
import { boltSequence } from '../../geometry/boltSequence';
import { m, mm } from '../../message/message';
import { hardness, lookAndTap, pressureSteps } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, dustOff, gradeStep, mask, release, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { type Rounds, type W } from './rounds';

export const stepIds = [
  'former',
  'template',
  'wet-former',
  'wet-metal',
  'close',
  'open',
  'gasket',
] as const;
const step = stepsOf(stepIds);

const order = ({ survey }: W) => boltSequence({ count: survey.joint.bolts }).order.join(' ');

const prepSteps = ({ work, site, bolts }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 40,
    extra: m(
      'Drain and vent it. Take the gasket out and throw it away. An old gasket may contain asbestos: have it sampled first.',
    ),
  }),
  protect(work),
  step('former', {
    station: 'prep',
    does: 'form',
    title: t('Make the former'),
    minutes: 60,
    text: m(
      'Copy the good face: a rigid, flat plate with its serrations and its bolt holes. Try it: it closes square on the studs. Flat to {flat}.',
      { flat: mm(work.trade.flange.flatMm) },
    ),
    hold: {
      kind: 'reading',
      label: m('Feeler under a straight edge'),
      quantity: 'length',
      min: null,
      max: work.trade.flange.flatMm,
    },
    uses: ['former'],
    wrong: [
      wrong(t('It rocks'), t('Scrape or lap it flat: the face can be no better than its former.')),
    ],
  }),
  ...removeOld(work),
  degrease(work),
  gradeStep(work, site.extentMm, { extra: m('Threads and bores plugged before it.') }),
  dustOff(),
  ...release(work, m('the former, the bores, and each of the {bolts} studs and nuts', { bolts })),
  mask(site.extentMm),
  step('template', {
    station: 'prep',
    does: 'form',
    title: t('Cut the spreader'),
    minutes: 15,
    text: m(
      'Notch a spreader to {depth} with a ridge in the middle of the ring: closing the former then pushes the air outwards.',
      { depth: mm(work.buildMm) },
    ),
    figures: ['coat'],
  }),
  wipe(work),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'wet-former', {
    title: t('Brush into the former'),
    text: m(
      'A stiff brush, hard into every serration of the former. One batch coats both faces: the former and the metal.',
    ),
  }),
  step.touch(main, 'wet-metal', {
    title: t('Scrub into the metal'),
    text: m(
      'Scrub a thin coat hard into the bare metal. Build on it with the spreader, {build} and proud, a ridge along the middle of the ring.',
      { build: mm(work.buildMm) },
    ),
    figures: ['coat', 'total'],
    wrong: [
      wrong(t('A dip in the ridge'), t('Fill it before closing: air stays in a dip.')),
      wrong(t('It pulls'), t('Its life is over: scrape off, mix again.')),
    ],
  }),
  step.touch(main, 'close', {
    title: t('Close the former'),
    text: () =>
      m(
        'Pull the tape. Close square, run the nuts up a little at a time in the order {sequence}. Squeeze-out all round says it is full. Trim it, all inside the life.',
        { sequence: order(work) },
      ),
    figures: ['bolts'],
    wrong: [wrong(t('No squeeze-out on one side'), t('Open at once, add there, close again.'))],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main, m('The studs stay as they are: do not nip them up again.')),
  step.during(main, 'open', {
    at: 'handle',
    title: t('Open the former'),
    minutes: 20,
    text: m('Nuts off in the same order. Jack it off square; wedges only outside the face.'),
    wrong: [
      wrong(t('It will not come'), t('Wait longer, warm it gently. Never lever on the face.')),
    ],
  }),
  lookAndTap(
    ready,
    t('No gaps, dips or high spots, no soft spot, one colour. Tap all round: one sound.'),
    [
      wrong(t('Gap or dip'), t('Abrade and wipe it, fill it and close the former again.')),
      wrong(t('Soft spot or two colours'), t('Badly mixed: cut it out and do it again.')),
      wrong(t('High spot'), t('Scrape it with the straight edge and blue.')),
    ],
  ),
  step.inspect('dress', {
    title: t('Dress the inner edge'),
    minutes: 10,
    text: m(
      'File the sharp flash off the inner edge and the bolt holes: product must not catch on it.',
    ),
    does: 'finish',
  }),
  step.inspect('flatness', {
    title: t('Flatness'),
    minutes: 10,
    text: m(
      'Lay a straight edge across the face in four directions. A feeler gauge of {flat} must not go under it.',
      {
        flat: mm(work.trade.flange.flatMm),
      },
    ),
    hold: {
      kind: 'reading',
      label: m('Widest gap'),
      quantity: 'length',
      min: null,
      max: work.trade.flange.flatMm,
    },
  }),
  ...hardness(work),
  step.inspect('gasket', {
    title: t('Gasket and bolts'),
    minutes: 15,
    text: () =>
      m('New gasket, studs clean and oiled, tightened in the order {sequence}.', {
        sequence: order(work),
      }),
    does: 'finish',
    uses: ['gasket'],
    figures: ['bolts'],
  }),
  ...pressureSteps(work, ready),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
