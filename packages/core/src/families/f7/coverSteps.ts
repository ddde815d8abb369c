import { t } from '../../text/text';
import { m, type Message, mm } from '../../message/message';
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

const stripsText = (work: W): Message =>
  m(
    '{n, plural, one {One strip} other {# strips}} of {width}{end, select, yes {, end to end} other {}}.',
    {
      n: total(work, (c) => c.strips),
      width: mm(coversIn(work)[0]?.stripWidthMm ?? 0),
      end: total(work, (c) => c.strips) > coversIn(work).length ? 'yes' : 'no',
    },
  );

const readySteps = ({ work, strips }: CoverRounds): StepDraft[] => [
  ...prepSteps(work),
  gradeStep(work, margin(work), {
    extra: m('Flat and matt, low speed; keep clear of lettering and ribs.'),
  }),
  dustOff(t('Brush the dust off dry. No hand on it from here.')),
  step.prep('cut-strips', {
    does: 'ready',
    title: t('Cut the strips'),
    minutes: 5 + strips * 2,
    text: stripsText(work),
    figures: ['strips', 'stripWidth'],
  }),
  step.prep('trace', {
    does: 'mask',
    title: t('Trace the place'),
    minutes: 5,
    text: m('Lay the patch dry, {margin} past the crack all round, draw round it.', {
      margin: mm(coversIn(work)[0]?.marginGotMm ?? 0),
    }),
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
          text: m(
            '{card} into the crack, pressed shut and held to its set, before it is covered.',
            {
              card: close.card.code,
            },
          ),
          figures: ['round.close.total'],
        }),
        waitFor(close, 'handle', {
          title: t('Is it shut'),
          text: m('Flexed by hand it stays shut. Buff what stands proud, brush the dust off.'),
        }),
      ]
    : []),
  ...mixSteps(work, conditioner),
  step.touch(conditioner, 'condition', {
    title: t('Condition'),
    text: m('{card} thin on the buffed rubber, inside the line; touch-dry.', {
      card: conditioner.card.code,
    }),
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

const laySteps = ({ main, drops }: CoverRounds): StepDraft[] => [
  step.touch(main, 'drops', {
    title: t('Drops'),
    text: m(
      '{drops} drops in all on the tyre inside the line, one by one, never smeared: one strip’s at a time.',
      { drops },
    ),
    people: 1,
    figures: ['drops'],
    wrong: [
      wrong(t('Smeared'), t('Wipe it off, buff, begin again: a smear skins before it is pressed.')),
    ],
  }),
  step.touch(main, 'roll', {
    title: t('Lay and roll down'),
    text: m(
      'From one end, a hand’s breadth at a time: press, roll, hold bit by bit to its set, go on. Corners last and longest.',
    ),
    people: 1,
    wrong: [wrong(t('A corner lifts'), t('One drop under it, hold.'))],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready, airtight }: CoverRounds): StepDraft[] => [
  leave(work, main, m('An accelerator only where the card allows one.')),
  step.during(main, 'bevel', {
    at: 'handle',
    title: t('Bevel the edge'),
    minutes: 8,
    text: m('Grind the edge to a slope all round, so that it does not scrub. Dust off.'),
  }),
  lookAndTap(ready, t('All edges and corners down, bevelled; a thin blade goes under nowhere.'), [
    wrong(t('A blade goes under'), t('Peel to where it holds, buff, drop, hold.')),
  ]),
  ...(airtight
    ? []
    : [
        step.inspect('air', {
          title: t('Air-tight corners'),
          minutes: 10,
          text: m(
            'In a cage, nobody in line: to {share} of service pressure, soap on all four corners. No bubble.',
            { share: SOAP_SHARE },
          ),
          wrong: [
            wrong(t('Bubbles'), t('Deflate, core out, off with it. A licensed shop decides.')),
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
