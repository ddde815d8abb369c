import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, minutes, mm } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { approval, coverFirst, isolate, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { flashMinutes, gradeMinutes } from '../../methods/pace';
import { stepsOf, wrong } from '../../methods/step';
import { aidName } from '../../work/aids';
import type { StepDraft } from '../../work/step';
import { pins, type Rounds } from './rounds';

export const stepIds = [
  'parts',
  'mill',
  'formers-in',
  'passes',
  'formers',
  'insulation',
  'creepage',
  'function',
] as const;
const step = stepsOf(stepIds);

const openSteps = ({ survey, work, burns }: Rounds): StepDraft[] => [
  ...(survey.board.mains
    ? [
        approval(
          'electronics-shop',
          m(
            'This part carries mains voltage. Creepage and clearance must be as the maker gives them.',
          ),
        ),
      ]
    : []),
  isolate(work, {
    extra: sentences(`
      Unplug the board.
      Discharge the capacitors and measure that they are empty.
      Put the wrist strap on.
    `),
  }),
  step.prep('photo', {
    does: 'look',
    title: t('Draw it first'),
    minutes: 10,
    says: [
      coverFirst(work),
      sentences(`
        Photograph the board with a rule beside it.
        Draw each part, track and colour near the burn.
      `),
    ],
    hold: { kind: 'photo', label: m('The board before, with a rule') },
  }),
  step.prep('parts', {
    does: 'open-up',
    title: t('Parts out'),
    minutes: 15 * burns,
    says: sentences(`
      Find out why the board burnt, and correct that.
      Take out burnt parts and parts in the way.
    `),
  }),
  ...removeOld(work),
  step.prep('mill', {
    does: 'abrade',
    title: t('Mill out the char'),
    minutes: gradeMinutes(work),
    says: sentences(`
      Mill the burn out with a small burr, until the board has its own colour.
      Leave stepped edges.
    `),
    warns: sentences(`Wear a dust mask, and work with dust extraction. The dust harms the lungs.`),
    wrong: [wrong(t('Brown material shows'), t('Mill it out. It conducts.'))],
  }),
];

const cleanSteps = ({ work, burns }: Rounds): StepDraft[] => [
  step.prep('dust-off', {
    does: 'dust-off',
    title: t('Dust off'),
    minutes: 3,
    says: sentences(`Remove the dust with a soft brush and a vacuum cleaner. Use no rag.`),
  }),
  step.prep('wipe', {
    does: 'wipe',
    title: t('Alcohol'),
    minutes: 5,
    says: sentences(
      `
        Clean the place with {aid} and a brush.
        Let it dry for {flash}.
      `,
      { aid: aidName(work, 'wipe'), flash: minutes(flashMinutes(work, 'wipe')) },
    ),
    hold: {
      kind: 'countdown',
      label: m('Alcohol drying'),
      minutes: flashMinutes(work, 'wipe'),
    },
    uses: ['wipe'],
  }),
  step.prep('formers-in', {
    does: 'dam',
    title: t('Dam below, formers in'),
    minutes: 6 * burns + pins(work),
    says: [
      sentences(`Press tape tightly under the board, below each opening.`),
      pins(work) > 0 &&
        sentences(
          `Put {n, plural, one {a waxed spare leg where the hole was} other {# waxed spare legs where the holes were}}.`,
          { n: pins(work) },
        ),
    ],
    figures: ['pins'],
    uses: ['tape', ...(pins(work) > 0 ? ['legs'] : [])],
    wrong: [
      wrong(
        t('Resin runs under the tape'),
        t('Press the tape down again. Make the first pass thin.'),
      ),
    ],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main, lamp, passes, each }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'passes', {
    title: t('Fill in passes'),
    says: lamp
      ? sentences(
          `
            Fill the opening in {n, plural, one {one pass} other {# passes}}. Full depth: {deep}.
            Hold the lamp on each pass for {each}.
          `,
          {
            n: passes,
            deep: perDamage(work.bodies.map((b) => mm(b.buildMm))),
            each: minutes(each / 60),
          },
        )
      : sentences(
          `
            Fill the opening level.
            Depth: {deep}.
          `,
          { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
        ),
    warns: lamp ? sentences(`Wear lamp goggles. The light harms the eyes.`) : undefined,
    people: 1,
    figures: lamp ? ['passes', 'passSeconds', 'lampSeconds'] : [],
    ...(lamp ? { timed: { label: m('Under the lamp'), minutes: each / 60, times: passes } } : {}),
    wrong: [
      wrong(t('A bubble'), t('Open the bubble with a needle before the resin sets.')),
      wrong(t('It is soft below'), t('Mill it out. Fill it again in thinner passes.')),
    ],
  }),
  cleanTools(main),
  step.during(main, 'formers', {
    at: 'tackFree',
    title: t('Ease the formers out'),
    minutes: 8,
    says: sentences(`
      Warm each leg with a soldering iron for a second, turn it and pull it out.
      Take the tape off.
    `),
  }),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main),
  lookAndTap(
    ready,
    sentences(`
      Check both faces: level, no bubble, no amber colour.
      Scratch them with a steel pick: it must leave no mark.
    `),
    [wrong(t('A pick marks it'), t('Cure it longer. If it stays soft, mill it out.'))],
  ),
  step.inspect('insulation', {
    title: t('Insulation'),
    minutes: 10,
    says: sentences(
      `Measure the insulation from track to track and across the fill, at the test voltage of the maker.`,
    ),
    warns: sentences(
      `Make sure that the board is dead. The test voltage and the board can shock you.`,
    ),
    wrong: [wrong(t('The insulation is too low'), t('Burnt material is left. Mill it out again.'))],
  }),
  step.inspect('creepage', {
    title: t('Creepage'),
    minutes: 5,
    says: sentences(`
      Measure the distance over the surface between bare conductors.
      It must be at least what the maker gives.
      Put the lacquer back on.
    `),
  }),
  step.inspect('function', {
    title: t('Try it'),
    minutes: 15,
    says: sentences(`
      Try the board on a supply with limited current.
      Put it in its place and watch it through one full cycle.
    `),
    after: ready,
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...openSteps(made),
  ...cleanSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
