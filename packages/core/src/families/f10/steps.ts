import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { perDamage } from '../../methods/perDamage';
import { mm } from '../../message/message';
import { hardness, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { rodStep, sandStep } from '../../methods/crack';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import type { StepDraft } from '../../work/step';
import { packed, type Rounds, shallow, type W } from './rounds';

export const stepIds = ['clear', 'deepen', 'pack', 'strike', 'gun'] as const;
const step = stepsOf(stepIds);

const metres = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;

const prepSteps = ({ work, few, bead, card, survey }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 15,
    extra: sentences(`
      Close the lane with cones.
      Where trucks turn, let one person guide them.
    `),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('clear', {
    does: 'strip',
    title: t('Clear it out'),
    minutes: 10 + metres(work) * 3,
    says: sentences(`
      Take out old sealant, plants, roots and loose sand.
      Clean the walls of the joint with a wire brush: they carry the bond.
    `),
  }),
  ...(few > 0 && !bead
    ? [
        step.prep('deepen', {
          does: 'abrade',
          title: t('Deepen'),
          minutes: 10 + (shallow(work).reduce((s, d) => s + d.lengthMm, 0) / 1000) * 4,
          says: sentences(
            `
              Cut {n, plural, one {the joint that is too shallow} other {the # joints that are too shallow}} down.
              Least depth: {least}.
            `,
            { n: few, least: mm(card.layer.minMm) },
          ),
          warns: sentences(`Wear a P3 mask, and cut wet. The dust holds silica.`),
          sparks: survey.site.area === 'safe',
          figures: ['opened'],
        }),
      ]
    : []),
  gradeStep(work, 0, {
    extra: sentences(`Clean the walls of the joint, not the top.`),
  }),
  dustOff(sentences(`Blow the joint clean with oil-free air, from one end to the other.`)),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry'),
    minutes: 10,
    says: sentences(`Dry the walls of the joint.`),
  }),
  ...rodStep(work, survey.damages),
  ...sandStep(work),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main, place, bead }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, place, {
    title: bead ? t('Gun it in') : packed(work) ? t('Pack it by hand') : t('Fill it'),
    says: bead
      ? sentences(
          `
            Fill over the rod to both walls, slightly hollow.
            Depth over the rod: {deep}.
          `,
          { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
        )
      : packed(work)
        ? sentences(`Press the material in by hand, so that it does not run down.`)
        : sentences(`
          Place the material and press it down.
          Leave it a little proud.
        `),
    figures: ['resin', 'run'],
    wrong: [
      wrong(t('It runs away below'), t('Stop. Put dry sand there, then go on.')),
      wrong(
        t('Dry sand in the mix'),
        t('Put it back into the pail and mix again, down to the bottom.'),
      ),
    ],
  }),
  step.touch(main, 'strike', {
    title: bead ? t('Tool it') : t('Tamp and strike off'),
    says: bead
      ? sentences(`
        Smooth the joint once with a wet spatula.
        Pull the tape off at once.
      `)
      : sentences(`
        Tamp the material down.
        Strike it off flush with a steel edge.
      `),
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main, sentences(`Keep wheels and rain off it.`)),
  lookAndTap(
    ready,
    sentences(`
      Sweep the joint.
      Check that it is filled to both walls, is flush, and has no loose grain.
    `),
    [
      wrong(
        t('Sand comes off when you rub it'),
        t('It has too little resin. Cut it out and fill again.'),
      ),
      wrong(
        t('A wall lets go'),
        t('Cut it out there, clean back to sound material and fill again.'),
      ),
    ],
  ),
  ...hardness(work),
  step.inspect('open-traffic', {
    title: t('Say when it opens'),
    minutes: 2,
    says: sentences(
      `
        Let people walk on it {walk}.
        Let wheels on it {drive}.
      `,
      { walk: momentText(main, 'lightLoad'), drive: momentText(main, 'fullLoad') },
    ),
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
