import { t } from '../../text/text';
import { joined, m, minutes, mm } from '../../message/message';
import { fingernail, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { degrease, drillEnds, dustOff, gradeStep, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import type { StepDraft } from '../../work/step';
import { dissolved, holes, type Rounds, type W } from './rounds';

export const stepIds = [
  'which-plastic',
  'vee',
  'own-wipe',
  'plug-outlets',
  'back-hole',
  'lid',
  'fill',
] as const;
const step = stepsOf(stepIds);

const cracks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'crack').length;

const openSteps = ({ work, wet, survey, lap }: Rounds): StepDraft[] => [
  isolate(work, {
    extra: wet
      ? m('Level as it is; inlet and outlet shut. Never enter a tank without a permit.')
      : m('Empty, flush until neutral, outlets blanked. Never enter a tank without a permit.'),
  }),
  protect(
    work,
    dissolved(work)
      ? {
          extra: m('No flame, no spark, no hot surface within five metres; air blown through.'),
        }
      : undefined,
  ),
  ...removeOld(work),
  step.prep('which-plastic', {
    does: 'look',
    title: t('Which plastic is it'),
    minutes: 5,
    text: dissolved(work)
      ? m(
          'A drop of the solvent on a hidden place: it must go tacky. If it does not, it is another plastic and this filler lets go.',
        )
      : m('Read the mark on the shell: it decides what holds.'),
  }),
  degrease(work, { extra: m('Mould release comes off first: plastic is born with it on.') }),
  ...(cracks(work) > 0 ? [drillEnds(cracks(work), false)] : []),
  step.prep('vee', {
    does: 'open-up',
    title: t('Open it up'),
    minutes: 10 * survey.damages.length,
    text: m('Vee it out from the outside, not through: the filler keys on the slope.'),
  }),
  gradeStep(work, lap),
  dustOff(),
  step.prep('plug-outlets', {
    does: 'dam',
    title: t('Plug every outlet'),
    minutes: 10,
    text: m(
      'Each outlet and every hole below plugged before anything is poured: what runs in sets in the pipe.',
    ),
    uses: ['plugs'],
  }),
];

const coatingSteps = ({ work, wet, rounds, lap }: Rounds): StepDraft[] => [
  ...(holes(work) > 0
    ? [
        step.prep('back-hole', {
          does: 'dam',
          title: t('Back the hole'),
          minutes: 5 * holes(work),
          text: m(
            'A backing with film behind {n, plural, one {the hole} other {each hole}}, held tight.',
            { n: holes(work) },
          ),
          uses: ['plugs'],
        }),
      ]
    : []),
  wet
    ? step.prep('own-wipe', {
        does: 'wipe',
        title: t('Wipe what it stands'),
        minutes: 5,
        text: m('A clean cloth, under water too: no slime, no skin.'),
      })
    : wipe(work, {
        extra: dissolved(work) ? m('Then the filler’s own solvent, one way, once. Dry.') : false,
      }),
  ...beforeMixing(work),
  ...coatSteps(work, rounds, {
    words: {
      first: dissolved(work)
        ? m('Press it into the vee, lid on between; thin coats, each let go hard,')
        : m('Knead to one colour, press it in so that it keys behind,'),
      last: m('Lay it {lap} past the damage and feather it.', { lap: mm(lap) }),
      people: 1,
    },
  }),
];

const buildSteps = ({ last }: Rounds): StepDraft[] => [
  step.build(last, 'lid', {
    does: 'tidy',
    title: t('Lid on'),
    minutes: 2,
    text: m('Lid on at once.'),
  }),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    last,
    dissolved(work)
      ? joined([
          m('Hard soon, but long from cured: water {when}, longer where it is thick.', {
            when: momentText(last, 'immersion'),
          }),
        ])
      : m('A stop-gap: quick, and to be redone.'),
  ),
  lookAndTap(ready, t('No pit, no white edge, no bubble. Tap: one sound with the shell.'), [
    wrong(t('Soft under the skin'), t('Solvent is still in it: wait; warm air, no flame.')),
    wrong(t('White and brittle edge'), t('Another plastic: off with it, find out which.')),
  ]),
  fingernail(work),
  step.inspect('fill', {
    title: t('Fill and watch'),
    minutes: work.trade.tank.watchMin,
    text: m('Water first: to half, then full. Dry outside for {wait}, then the product.', {
      wait: minutes(work.trade.tank.watchMin),
    }),
    timed: { label: m('Full of water'), minutes: work.trade.tank.watchMin, times: 1 },
    after: ready,
    wrong: [wrong(t('It weeps'), t('Empty, dry, key, lay over from the outside.'))],
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...openSteps(made),
  ...coatingSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
