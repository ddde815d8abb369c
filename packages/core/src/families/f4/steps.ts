import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
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
  isolate(work, {
    extra: sentences(`
      Close the line on both sides of the leak.
      Drain it to below the leak and vent it.
    `),
  }),
  step.prep('mark-leak', {
    does: 'look',
    title: t('Mark the leak'),
    minutes: 5,
    says: sentences(
      `
        Draw a circle round each leak.
        Mark where the wrap begins and ends, {extent} past the leak on both sides.
        Photograph the leak with a rule beside it.
      `,
      { extent: mm(extent) },
    ),
    hold: { kind: 'photo', label: m('The leak, marked, with a rule') },
    figures: ['wrapFrom'],
  }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  ...(cracks(work) > 0 ? [drillEnds(cracks(work), survey.site.area === 'safe')] : []),
  gradeStep(work, extent, { extra: sentences(`Clean all round the pipe.`) }),
  dustOff(),
  step.prep('dry', {
    does: 'dry',
    title: t('Dry it'),
    minutes: 10,
    says:
      card.damp === 'dry'
        ? sentences(`
          Dry the pipe all round.
          Make sure that no drop comes out of the leak.
        `)
        : sentences(
            `
              Dry the pipe. The surface may stay {how}.
              Make sure that no stream comes out of the leak.
            `,
            { how: card.damp === 'damp' ? 'damp' : 'wet' },
          ),
  }),
  wipe(work),
  ...beforeMixing(work),
];

const plugSteps = ({ plug, work, places }: Rounds): StepDraft[] =>
  plug
    ? [
        ...mixSteps(work, plug),
        step.touch(plug, 'plug', {
          title: t('Plug it'),
          says: sentences(
            `
              Use this amount for each leak: {amount}.
              Press it hard into {n, plural, one {the leak} other {each leak}}.
              Spread the edge out thin.
            `,
            {
              amount: perDamage(
                work.bodies.map((b) =>
                  ml(plug.mixMl * (b.netMl / Math.max(work.netMl, Number.MIN_VALUE))),
                ),
              ),
              n: places,
            },
          ),
          people: 1,
          figures: ['round.plug.total'],
          wrong: [
            wrong(
              t('It drips through the plug'),
              t(
                'If it only drips, go on: the wrap holds it too. If it runs, stop and drain the line further.',
              ),
            ),
          ],
        }),
        waitFor(plug, 'tackFree', {
          title: t('Is the plug tack-free'),
          text: sentences(`
            Touch the plug with a clean glove.
            Open the first packet only if the glove stays clean.
          `),
        }),
      ]
    : [];

const wrapSteps = ({ work, places, wrap, hands, main, last }: Rounds): StepDraft[] => [
  ...(wrap
    ? [
        ...mixSteps(work, wrap),
        layTape(work, wrap, { title: m('Wrap it'), extra: hands }),
        step.build(wrap, 'press', {
          does: 'place',
          title: t('Press and twist'),
          minutes: work.trade.leak.pressMin * places,
          says: sentences(`
            Wet your gloves.
            Press and smooth the wrap along the direction of the tape.
            Go on until it no longer foams and is no longer sticky.
          `),
          people: 2,
          wrong: [wrong(t('The wrap lifts'), t('Hold it down until it has set.'))],
        }),
        step.build(wrap, 'film', {
          does: 'form',
          title: t('Over-wrap'),
          minutes: 4 * places,
          says: sentences(`
            Wrap stretch film tightly over the wrap.
            Prick the film with a pin, so that gas gets out.
          `),
          uses: ['film'],
        }),
      ]
    : coatSteps(work, main, {
        words: {
          first: sentences(`
            Press it hard into the leak, so that it grips behind the wall.
            Spread it past the edge.
          `),
          last:
            work.card.damp === 'dry' ? undefined : sentences(`Smooth the edge with a wet finger.`),
          people: 1,
        },
      })),
  cleanTools(last),
];

const acceptSteps = ({ work, wrap, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, sentences(`Put no pressure on it.`)),
  lookAndTap(
    ready,
    wrap
      ? sentences(`
        Look for dry cloth, lifted edges and places of another colour: there must be none.
        Tap all round with a coin: the sound must be the same everywhere.
      `)
      : undefined,
    [
      wrong(t('A lifted edge'), t('Cut it back to where it holds. Repair over it.')),
      wrong(t('A soft place'), t('Take the repair off and do it again.')),
    ],
  ),
  ...hardness(work),
  ...pressureSteps(work, ready),
  step.inspect('tag', {
    title: t('Tag it'),
    minutes: 3,
    says: sentences(`
      Hang a tag on the pipe.
      Write on it: what was done, when, by whom, and the date of the next look.
    `),
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...plugSteps(made),
  ...wrapSteps(made),
  ...acceptSteps(made),
];
