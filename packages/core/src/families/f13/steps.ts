import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, mm } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { gradeMinutes } from '../../methods/pace';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import { fittings, type Rounds, type W } from './rounds';

export const stepIds = [
  'try-dry',
  'clean',
  'peel-tools',
  'wet-out',
  'carry',
  'bed',
  'hold',
  'sample',
  'flow',
] as const;
const step = stepsOf(stepIds);

const dry = ({ schools, survey }: W) => schools.wet !== 'wet' && survey.sump.drainable;

const prepSteps = ({ work }: Rounds): StepDraft[] => [
  isolate(work, {
    extra: dry(work)
      ? sentences(`Drain it and dry it. A dry bond holds longer.`)
      : sentences(`
        Stop the flow and the suction, and lock both.
        Keep a life-line and a rescuer ready.
      `),
    warns: dry(work) ? undefined : sentences(`Never work alone over water. You can drown.`),
  }),
  protect(work),
  step.prep('try-dry', {
    does: 'look',
    title: t('Try it dry'),
    minutes: 10,
    says: sentences(`
      Try the fitting or the patch in place, without gel.
      Make sure that it sits, and that you can reach it and hold it.
    `),
    hold: { kind: 'photo', label: m('Tried in place') },
  }),
  ...removeOld(work),
  step.prep('clean', {
    does: 'abrade',
    title: m('Clean to {grade}', { grade: work.grade ?? 'sound' }),
    minutes: gradeMinutes(work),
    says: sentences(
      `
        Scrape off slime, scale and loose coating.
        Scrub the place until it is clean, {lap} past the damage.
      `,
      { lap: mm(work.trade.sump.lapMm) },
    ),
    wrong: [wrong(t('It feels slippery'), t('Scrub it again.'))],
  }),
  step.prep('wipe', {
    does: 'wipe',
    title: t('Wipe it clean'),
    minutes: 5,
    says: sentences(`
      Wipe the place with a clean cloth in one direction.
      Do not touch it again before the gel is on.
    `),
  }),
  step.prep('peel-tools', {
    does: 'ready',
    title: t('Tools that peel clean'),
    minutes: 5,
    says: sentences(`
      Lay film on the polypropylene board. The gel does not stick to it.
      Put on two pairs of gloves that reach the elbow.
    `),
    uses: ['board'],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ patch, work, bed, last }: Rounds): StepDraft[] => [
  ...(patch
    ? [
        ...mixSteps(work, patch),
        step.touch(patch, 'wet-out', {
          title: t('Wet out on the board'),
          says: sentences(
            `
              Lay {cloths} cloths on the board, {lap} larger than the damage on all sides.
              Work gel through them and over both faces.
              Leave no dry place.
            `,
            { cloths: work.trade.sump.cloths, lap: mm(work.trade.sump.lapMm) },
          ),
          figures: ['cloth'],
          uses: ['cloth'],
          people: 1,
        }),
        step.touch(patch, 'carry', {
          title: t('Carry and lay'),
          says: sentences(`
            Carry the cloths flat on the board.
            Slide them on from one edge, so that the water goes out ahead.
            Press from the middle to the edges with few strokes.
          `),
          wrong: [
            wrong(
              t('Water is under it'),
              t('Lift that edge once and press the water out. Do not lift it again.'),
            ),
          ],
        }),
      ]
    : []),
  ...(bed
    ? [
        ...mixSteps(work, bed),
        step.touch(bed, 'bed', {
          title: t('Bed the fitting'),
          says: sentences(
            `
              Put a ring of gel on the fitting and a ring on the old pipe.
              Push the fitting down square with a twist, until gel comes out all round.
              Leave {bed} of gel under it.
              Thin out the gel that came out.
            `,
            { bed: mm(work.buildMm) },
          ),
          figures: ['round.main.total'],
          wrong: [
            wrong(
              t('No gel comes out on one side'),
              t('Take the fitting off at once. Add gel there and push it down again.'),
            ),
          ],
        }),
        step.build(bed, 'hold', {
          does: 'form',
          title: t('Hold it'),
          minutes: 5 * fittings(work),
          says: sentences(`
            Hold the fitting square with a weight or a prop.
            Do not touch it until the gel has set.
          `),
        }),
      ]
    : []),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, sentences(`Keep the water still.`)),
  lookAndTap(
    ready,
    sentences(`
      Look for gaps in the gel: there must be none.
      Push the edge with a spatula: it must not lift.
    `),
    [wrong(t('The edge lifts'), t('Scrub it and put gel over it.'))],
  ),
  step.inspect('sample', {
    title: t('Feel the sample'),
    minutes: 3,
    says: sentences(
      `Press a fingernail into the sample that lies in the same water: it must leave no mark.`,
    ),
    wrong: [wrong(t('The fingernail leaves a mark'), t('Wait as long again and try once more.'))],
  }),
  step.inspect('flow', {
    title: t('Flow back on'),
    minutes: 15,
    says: sentences(`
      Open the flow to half and look at the joint.
      Open it fully.
      Put dye at the joint: it shows a leak.
    `),
    after: ready,
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
