import { t } from '../../text/text';
import { joined, m, mm } from '../../message/message';
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
    extra: m('Close the lane, cones and a banksman where trucks turn.'),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('clear', {
    does: 'strip',
    title: t('Clear it out'),
    minutes: 10 + metres(work) * 3,
    text: m(
      'Old soft sealant, plants and roots, loose sand out. Rake and wire-wheel: the walls are the bond.',
    ),
  }),
  ...(few > 0 && !bead
    ? [
        step.prep('deepen', {
          does: 'abrade',
          title: t('Deepen'),
          minutes: 10 + (shallow(work).reduce((s, d) => s + d.lengthMm, 0) / 1000) * 4,
          text: m(
            '{n, plural, one {One run is} other {# runs are}} too shallow: cut down to {least} at least. Wet, and a P3 mask.',
            { n: few, least: mm(card.layer.minMm) },
          ),
          sparks: survey.site.area === 'safe',
          figures: ['opened'],
        }),
      ]
    : []),
  gradeStep(work, 0, { extra: m('Prepare the walls, not the top.') }),
  dustOff(
    t('Blow it clean with oil-free air, from one end to the other. Dust is a release agent.'),
  ),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry'),
    minutes: 10,
    text: m(
      'The walls must be dry. Use a gas lance only with a permit, and only where nothing near can burn.',
    ),
  }),
  ...rodStep(work, survey.damages),
  ...sandStep(work),
  ...beforeMixing(work),
];

const buildSteps = ({ work, main, place, bead }: Rounds): StepDraft[] => [
  ...mixSteps(work, main),
  step.touch(main, place, {
    title: bead ? t('Gun it in') : packed(work) ? t('Pack it by hand') : t('Fill it'),
    text: bead
      ? m('Fill over the rod to both walls, {deep} deep, slightly hollow.', {
          deep: mm(work.buildMm),
        })
      : packed(work)
        ? m('By hand, pressed in so that it bridges and does not run down.')
        : m(
            'Place, press, leave it a little proud. The blend of dark and light sand makes the colour: try it dry beside the yard first.',
          ),
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
    text: bead
      ? m('Smooth the joint once with a wet spatula. Pull the tape off at once.')
      : m('Tamp it down. Strike it off flush with a steel edge before its working life ends.'),
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(work, main, m('Keep wheels and rain off it.')),
  lookAndTap(
    ready,
    t(
      'Check that it fills the joint to both walls, is flush, and that no grain is loose. Sweep it.',
    ),
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
    text: joined([
      m('Walk on it {walk}, drive {drive}.', {
        walk: momentText(main, 'lightLoad'),
        drive: momentText(main, 'fullLoad'),
      }),
    ]),
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
