import { t } from '../../text/text';
import { joined, m, minutes, mm } from '../../message/message';
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
          m('Mains on this part: creepage and clearance must come back to the maker’s.'),
        ),
      ]
    : []),
  isolate(work, { extra: m('Unplugged; capacitors discharged and proved; wrist strap on.') }),
  step.prep('photo', {
    does: 'look',
    title: t('Draw it first'),
    minutes: 10,
    text: joined([
      coverFirst(work),
      m(
        'Every part, track and colour near the burn, photographed with a rule and drawn: it is built back from that.',
      ),
    ]),
    hold: { kind: 'photo', label: m('The board before, with a rule') },
  }),
  step.prep('parts', {
    does: 'open-up',
    title: t('Parts out'),
    minutes: 15 * burns,
    text: m(
      'Take out burnt parts and those in the way. First find why it burnt, and correct that.',
    ),
  }),
  ...removeOld(work),
  step.prep('mill', {
    does: 'abrade',
    title: t('Mill out the char'),
    minutes: gradeMinutes(work),
    text: m(
      'Small burr, until the laminate is its own colour: char conducts. Edges stepped. With extraction and a mask.',
    ),
    wrong: [wrong(t('Brown shows'), t('Mill on: it carbonises again from there.'))],
  }),
];

const cleanSteps = ({ work, burns }: Rounds): StepDraft[] => [
  step.prep('dust-off', {
    does: 'dust-off',
    title: t('Dust off'),
    minutes: 3,
    text: m('Soft brush and vacuum, no rag: dust under the fill is a path.'),
  }),
  step.prep('wipe', {
    does: 'wipe',
    title: t('Alcohol'),
    minutes: 5,
    text: m('{aid} and a brush, {flash} to dry, clean air.', {
      aid: aidName(work, 'wipe'),
      flash: minutes(flashMinutes(work, 'wipe')),
    }),
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
    text: m(
      'Tape below, pressed tight. {n, plural, =0 {No hole to form.} one {One spare leg, waxed, stands where the hole was.} other {# spare legs, waxed, stand where the holes were.}}',
      { n: pins(work) },
    ),
    figures: ['pins'],
    uses: ['tape', ...(pins(work) > 0 ? ['legs'] : [])],
    wrong: [wrong(t('It creeps under the tape'), t('Press again, let the first pass be thin.'))],
  }),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main, lamp, passes, each }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, 'passes', {
    title: t('Fill in passes'),
    text: lamp
      ? m(
          '{n, plural, one {One pass} other {# passes}} in all to {deep}: no deeper than it cures, {each} of lamp each. Goggles for the lamp, everybody.',
          { n: passes, deep: mm(work.buildMm), each: minutes(each / 60) },
        )
      : m('Fill to {deep}, level.', { deep: mm(work.buildMm) }),
    people: 1,
    figures: lamp ? ['passes', 'passSeconds', 'lampSeconds'] : [],
    ...(lamp ? { timed: { label: m('Under the lamp'), minutes: each / 60, times: passes } } : {}),
    wrong: [
      wrong('A bubble', t('Open the bubble with a needle before you switch the lamp on.')),
      wrong(t('Soft below'), t('Too deep a pass or a weak lamp: mill it out, thinner passes.')),
    ],
  }),
  cleanTools(main),
  step.during(main, 'formers', {
    at: 'tackFree',
    title: t('Ease the formers out'),
    minutes: 8,
    text: m(
      'At once, while it is warm: warm the legs with the iron for a second, turn, draw. Tape off.',
    ),
  }),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main),
  lookAndTap(
    ready,
    t('Check both faces: level, no bubble, no amber colour. A steel pick must leave no mark.'),
    [
      wrong(
        t('A pick marks it'),
        t('Cure it longer under the lamp from both faces. If it stays soft, mill it out.'),
      ),
    ],
  ),
  step.inspect('insulation', {
    title: t('Insulation'),
    minutes: 10,
    text: m(
      'Track to track, and across the fill, at the maker’s test voltage. Not on a live board.',
    ),
    wrong: [wrong(t('It leaks'), t('Char is left: mill it out again.'))],
  }),
  step.inspect('creepage', {
    title: t('Creepage'),
    minutes: 5,
    text: m(
      'Distance over the surface between bare metal, as the maker made it or more; lacquer back on.',
    ),
  }),
  step.inspect('function', {
    title: t('Try it'),
    minutes: 15,
    text: m(
      'On a current-limited supply first, then in its place, watched through one full cycle.',
    ),
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
