import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
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
    extra: sentences(`
      Drain and vent the line.
      Take the old gasket out.
    `),
    warns: sentences(`Have an old gasket tested before you touch it. It may contain asbestos.`),
  }),
  protect(work),
  step('former', {
    station: 'prep',
    does: 'form',
    title: t('Make the former'),
    minutes: 60,
    says: sentences(
      `
        Copy the good face into a rigid, flat plate, with its serrations and bolt holes.
        Try the plate on the studs: it must close square.
        Lay a straight edge on it. The gap may be {flat} at most.
      `,
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
    wrong: [wrong(t('The plate rocks'), t('Scrape or lap the plate until it is flat.'))],
  }),
  ...removeOld(work),
  degrease(work),
  gradeStep(work, site.extentMm, { extra: sentences(`Plug threads and bores before you start.`) }),
  dustOff(),
  ...release(work, m('the former, the bores, and each of the {bolts} studs and nuts', { bolts })),
  mask(site.extentMm),
  step('template', {
    station: 'prep',
    does: 'form',
    title: t('Cut the spreader'),
    minutes: 15,
    says: sentences(
      `
        Cut a notch into a spreader. Depth: {depth}.
        Leave a ridge for the middle of the ring: it pushes the air out when the former closes.
      `,
      { depth: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
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
    says: sentences(`
      Brush a thin coat hard into every serration of the former.
      Use a stiff brush.
    `),
  }),
  step.touch(main, 'wet-metal', {
    title: t('Scrub into the metal'),
    says: sentences(
      `
        Scrub a thin coat hard into the bare metal of the face.
        Build on it with the spreader. Height: {build}, and a little proud.
        Leave a ridge along the middle of the ring.
      `,
      { build: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
    ),
    figures: ['coat', 'total'],
    wrong: [
      wrong(t('The ridge has a dip'), t('Fill the dip before you close the former.')),
      wrong(
        t('The paste pulls off the metal'),
        t('Its working life is over. Scrape it off and mix a new batch.'),
      ),
    ],
  }),
  step.touch(main, 'close', {
    title: t('Close the former'),
    says: () =>
      sentences(
        `
          Pull the masking tape off.
          Put the former on square.
          Turn the nuts a little at a time, in this order: {sequence}.
          Stop when paste comes out all round.
          Trim the paste that came out.
        `,
        { sequence: order(work) },
      ),
    figures: ['bolts'],
    wrong: [
      wrong(
        t('No paste comes out on one side'),
        t('Open the former at once. Add paste there and close it again.'),
      ),
    ],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main, sentences(`Do not tighten the studs again.`)),
  step.during(main, 'open', {
    at: 'handle',
    title: t('Open the former'),
    minutes: 20,
    says: sentences(`
      Take the nuts off in the same order.
      Jack the former off square. Put wedges only outside the face.
    `),
    wrong: [
      wrong(
        t('The former does not come off'),
        t('Warm it gently and wait. Do not lever on the face.'),
      ),
    ],
  }),
  lookAndTap(
    ready,
    sentences(`
      Look for gaps, dips, high spots and places of another colour: there must be none.
      Tap all round with a coin: the sound must be the same everywhere.
    `),
    [
      wrong(t('Gap or dip'), t('Abrade and wipe it. Fill it and close the former again.')),
      wrong(t('Soft spot or two colours'), t('The mix was wrong. Cut it out and do it again.')),
      wrong(t('High spot'), t('Scrape it off. Check it with the straight edge.')),
    ],
  ),
  step.inspect('dress', {
    title: t('Dress the inner edge'),
    minutes: 10,
    says: sentences(`File the sharp edges off the inner edge and the bolt holes.`),
    does: 'finish',
  }),
  step.inspect('flatness', {
    title: t('Flatness'),
    minutes: 10,
    says: sentences(
      `
        Lay a straight edge across the face in four directions.
        Try a feeler gauge of {flat}: it must not go under the straight edge.
      `,
      { flat: mm(work.trade.flange.flatMm) },
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
    says: () =>
      sentences(
        `
          Put in a new gasket.
          Clean and oil the studs.
          Tighten the nuts in this order: {sequence}.
        `,
        { sequence: order(work) },
      ),
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
