import { t } from '../../text/text';
import { m, ml, mm } from '../../message/message';
import { hardness, lookAndTap, pressureSteps } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, coatSteps } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, drillEnds, dustOff, gradeStep, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { layTape } from '../../methods/wrap';
import type { StepDraft } from '../../work/step';
import { type Rounds, type W } from './rounds';

export const stepIds = ['mark-leak', 'plug', 'press', 'film'] as const;
const step = stepsOf(stepIds);

const cracks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'crack').length;

const prepSteps = ({ work, extent, survey, card }: Rounds): StepDraft[] => [
  isolate(work, { extra: m('Shut both ways, drain below the leak, vent.') }),
  step.prep('mark-leak', {
    does: 'look',
    title: t('Mark the leak'),
    minutes: 5,
    text: m(
      'Circle it; draw where the wrap begins and ends, {extent} past it both ways. Photograph it with a rule beside it.',
      { extent: mm(extent) },
    ),
    hold: { kind: 'photo', label: m('The leak, marked, with a rule') },
    figures: ['wrapFrom'],
  }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  ...(cracks(work) > 0 ? [drillEnds(cracks(work), survey.site.area === 'safe')] : []),
  gradeStep(work, extent, { extra: m('All round the pipe.') }),
  dustOff(),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry it'),
    minutes: 10,
    text:
      card.damp === 'dry'
        ? m('Dry all round; no drop comes from the hole.')
        : m('It may be {how}; no stream comes from the hole.', {
            how: card.damp === 'damp' ? 'damp' : 'wet',
          }),
  }),
  wipe(work),
  ...beforeMixing(work),
];

const buildSteps = ({ plug, work, places, wrap, hands, main, last }: Rounds): StepDraft[] => [
  ...(plug
    ? [
        ...mixSteps(work, plug),
        step.touch(plug, 'plug', {
          title: t('Plug it'),
          text: m(
            'Cut {amount} in all, knead to one colour, press hard into {n, plural, one {the hole} other {each of the # holes}}, feather the edges.',
            { amount: ml(plug.mixMl), n: places },
          ),
          people: 1,
          figures: ['round.plug.total'],
          wrong: [
            wrong(
              t('Even plugged it seeps'),
              t(
                'If it only drips, go on: tight plies also hold it. If it runs, stop and drain further.',
              ),
            ),
          ],
        }),
        waitFor(plug, 'tackFree', {
          title: t('Is the plug tack-free'),
          text: m(
            'Touch the plug with a clean glove. Open the first pouch only if the glove stays clean.',
          ),
        }),
      ]
    : []),
  ...(wrap
    ? [
        ...mixSteps(work, wrap),
        layTape(work, wrap, { title: m('Wrap it'), extra: hands }),
        step.build(wrap, 'press', {
          does: 'place',
          title: t('Press and twist'),
          minutes: work.trade.leak.pressMin * places,
          text: m(
            'Wet gloves. Press and twist along the lay, round and round, until the foam stops and it is no longer tacky.',
          ),
          people: 2,
          wrong: [wrong(t('It lifts'), t('Hold it down until it has set.'))],
        }),
        step.build(wrap, 'film', {
          does: 'form',
          title: t('Over-wrap'),
          minutes: 4 * places,
          text: m(
            'Elastic film over it, tight, pricked with a pin: it presses the plies and lets the gas out.',
          ),
          uses: ['film'],
        }),
      ]
    : coatSteps(work, main, {
        words: {
          first: m('Press it hard into the hole so that it keys behind, spread it past the edge,'),
          last: m('Feather the edge with a wet finger.'),
          people: 1,
        },
      })),
  cleanTools(last),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, m('Put no pressure on it.')),
  lookAndTap(ready, t('One colour, no dry cloth, no lifted edge. Tap round it: one sound.'), [
    wrong(t('Lifted edge'), t('Grind it back to where it holds, wrap over.')),
    wrong(t('Soft when tapped'), t('It foamed too much or set in water: take it off.')),
  ]),
  ...hardness(work),
  ...pressureSteps(work, ready),
  step.inspect('tag', {
    title: t('Tag it'),
    minutes: 3,
    text: m('A tag on the pipe: what, when, who, and when it is looked at again.'),
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
