import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, type Message, mm, q } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { cleanTools } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { dustOff, gradeStep } from '../../methods/prep';
import { wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import type { CoverRounds } from './coverRounds';
import { coversIn, inflate, margin, prepSteps, SOAP_SHARE, step, total, type W } from './steps';

const stripsText = (work: W): Message[] => [
  ...sentences(
    `
      Cut the strips. Number: {n}.
      Width: {width}.
    `,
    {
      n: perDamage(coversIn(work).map((c) => q(c.strips, 'count'))),
      width: perDamage(coversIn(work).map((c) => mm(c.stripWidthMm))),
    },
  ),
  ...(total(work, (c) => c.strips) > coversIn(work).length
    ? sentences(`Lay them end to end.`)
    : []),
];

const readySteps = ({ work, strips }: CoverRounds): StepDraft[] => [
  ...prepSteps(work),
  gradeStep(work, margin(work), {
    extra: sentences(`
      Go on until the rubber is flat and matt.
      Keep clear of letters and ribs.
    `),
  }),
  dustOff(
    sentences(`
      Brush the dust off with a dry brush.
      Do not touch the rubber again.
    `),
  ),
  step.prep('cut-strips', {
    does: 'ready',
    title: t('Cut the strips'),
    minutes: 5 + strips * 2,
    says: stripsText(work),
    figures: ['strips', 'stripWidth'],
  }),
  step.prep('trace', {
    does: 'mask',
    title: t('Trace the place'),
    minutes: 5,
    says: sentences(
      `
        Lay the strips dry over the crack. Margin on all sides: {margin}.
        Draw a line round them.
      `,
      { margin: perDamage(coversIn(work).map((c) => mm(c.marginGotMm))) },
    ),
    figures: ['marginGot'],
  }),
  ...beforeMixing(work),
];

const underSteps = ({ close, work, conditioner, main }: CoverRounds): StepDraft[] => [
  ...(close
    ? [
        ...mixSteps(work, close),
        step.touch(close, 'close', {
          title: t('Close the crack'),
          says: sentences(
            `
              Put {card} into the crack.
              Press the crack shut and hold it until it has set.
            `,
            { card: close.card.code },
          ),
          figures: ['round.close.total'],
        }),
        waitFor(close, 'handle', {
          title: t('Is it shut'),
          text: sentences(`
            Bend the tyre by hand: the crack must stay shut.
            Buff off what stands proud and brush the dust off.
          `),
        }),
      ]
    : []),
  ...mixSteps(work, conditioner),
  step.touch(conditioner, 'condition', {
    title: t('Condition'),
    says: sentences(
      `
        Brush {card} thinly on the buffed rubber, inside the line.
        Wait until it is dry to the touch.
      `,
      { card: conditioner.card.code },
    ),
    people: 1,
    figures: ['round.conditioner.total', 'cure.conditioner.tackFree'],
  }),
  ...mixSteps(work, main, [
    {
      round: conditioner.id,
      at: 'tackFree',
      until: 'overcoatCloses',
      missed: 'condition',
      why: m('Conditioner: flashed off, and still open.'),
    },
  ]),
];

const laySteps = ({ work, main }: CoverRounds): StepDraft[] => [
  step.touch(main, 'drops', {
    title: t('Drops'),
    says: sentences(
      `
        Put the drops on the tyre inside the line, for one strip at a time.
        Number of drops: {drops}.
        Do not smear the drops.
      `,
      { drops: perDamage(coversIn(work).map((c) => q(c.drops, 'count'))) },
    ),
    people: 1,
    figures: ['drops'],
    wrong: [wrong(t('A drop is smeared'), t('Wipe it off and buff the place. Put a new drop on.'))],
  }),
  step.touch(main, 'roll', {
    title: t('Lay and roll down'),
    says: sentences(`
      Lay the strip from one end, a hand’s width at a time.
      Press it, roll it and hold it until it has set. Then go on.
      Press the corners last and longest.
    `),
    people: 1,
    wrong: [wrong(t('A corner lifts'), t('Put one drop under it and hold it.'))],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready, airtight }: CoverRounds): StepDraft[] => [
  leave(work, main, null),
  step.during(main, 'bevel', {
    at: 'handle',
    title: t('Bevel the edge'),
    minutes: 8,
    says: sentences(`
      Grind the edge to a slope all round.
      Brush the dust off.
    `),
  }),
  lookAndTap(
    ready,
    sentences(`
      Look at all edges and corners: they must lie flat and slope.
      Try a thin blade: it must go under nowhere.
    `),
    [
      wrong(
        t('A blade goes under the edge'),
        t('Peel it back to where it holds. Buff it, put drops on and hold it.'),
      ),
    ],
  ),
  ...(airtight
    ? []
    : [
        step.inspect('air', {
          title: t('Air-tight corners'),
          minutes: 10,
          says: sentences(
            `
              Put the tyre into the cage.
              Fill it to {share} of service pressure by the remote hose.
              Put soapy water on all corners: no bubble may show.
            `,
            { share: SOAP_SHARE },
          ),
          warns: sentences(`Keep everybody out of line with the tyre. It can burst.`),
          wrong: [
            wrong(
              t('Bubbles show'),
              t('Let the air out and take the core out. A licensed tyre shop decides.'),
            ),
          ],
        }),
      ]),
  inflate(),
];

/** All steps of the repair, in working order. */
export const coverSteps = (made: CoverRounds): StepDraft[] => [
  ...readySteps(made),
  ...underSteps(made),
  ...laySteps(made),
  ...acceptSteps(made),
];
