import { t } from '../../text/text';
import { m, minutes, mm, q } from '../../message/message';
import { hardness, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { isHumid } from '../../methods/pace';
import { degrease, gradeStep } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { type Round, timeTo } from '../../work/round';
import type { After, StepDraft } from '../../work/step';
import { type Rounds, type W } from './rounds';

export const stepIds = [
  'cut',
  'back',
  'dam',
  'condition',
  'pour',
  'cover',
  'cement-1',
  'cement-2',
  'strip',
  'stitch',
  'tack-free',
  'run',
] as const;
const step = stepsOf(stepIds);

function pourSteps(work: W, main: Round, after: After): StepDraft[] {
  const stands = work.card.layer.maxMm.vertical > work.trade.belt.standsMm;
  return [
    ...mixSteps(work, main, [after]),
    step.touch(main, 'pour', {
      title: stands ? t('Trowel the hole') : t('Pour the hole'),
      text: m(
        'The hole first, from the bottom, in one place, so that the air leaves. Fill it level.',
      ),
      people: 1,
      figures: ['holeMl', 'coverMl'],
      wrong: [
        wrong(
          t('Bubbles rise'),
          t('Open the bubbles with a point while the material still flows.'),
        ),
      ],
    }),
    step.touch(main, 'cover', {
      title: t('Carry it past, feather'),
      text: m(
        '{cover} over the hole, down to nothing {lap} past it all round. Then leave it alone: it levels by itself.',
        { cover: mm(work.trade.belt.coverMm), lap: mm(work.trade.belt.lapMm) },
      ),
      people: 1,
      wrong: [wrong(t('It pulls strings'), t('Its flow is over: stop, bin what is left.'))],
    }),
  ];
}

const flashOf = (round: Round): number => {
  const at = timeTo(round, 'tackFree', 0);
  return at?.ok ? at.minutes : 0;
};

const prepSteps = ({ work, survey, sheet, holes, slopeDeg }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 10,
    extra: m('Belt stopped, locked, run-back held; the load off the place.'),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('cut', {
    does: 'open-up',
    title: t('Cut it clean'),
    minutes: 8 * survey.damages.length,
    text: sheet
      ? m('Round the corners of the rip. Skive the edges: a slope, no step, no cord cut.')
      : m('Cut loose rubber away to a round edge. No cord is cut.'),
  }),
  degrease(work),
  gradeStep(work, work.trade.belt.lapMm, {
    extra: m(
      'Buff with a coarse tool at low speed until the surface is matt and rough. Do not smear the rubber: a smear is burnt rubber.',
    ),
  }),
  step.prep('dust-off', {
    does: 'dust-off',
    title: t('Brush it dry'),
    minutes: 3,
    text: m(
      'Brush the dust off dry. No solvent now, no hand: from here nothing greasy touches it.',
    ),
  }),
  ...(holes > 0 && !sheet
    ? [
        step.prep('back', {
          does: 'dam',
          title: t('Back the hole'),
          minutes: 5 * holes,
          text: m(
            'A smooth plate under film, pressed up hard from behind: it keeps the rubber in and lets the air out at the top.',
          ),
          uses: ['backing'],
        }),
      ]
    : []),
  ...(slopeDeg > 0 && !sheet
    ? [
        step.prep('dam', {
          does: 'dam',
          title: t('Dam the low side'),
          minutes: 5 * survey.damages.length,
          text: m(
            'The belt lies at {deg}°: a strip of putty on the low side, {high} high, higher than the cover.',
            { deg: slopeDeg, high: mm(work.trade.belt.coverMm + 5) },
          ),
          uses: ['dam'],
        }),
      ]
    : []),
  ...beforeMixing(work),
];

const conditionSteps = ({ work, conditioner, after }: Rounds): StepDraft[] => [
  ...mixSteps(work, conditioner),
  step.touch(conditioner, 'condition', {
    title: t('Condition'),
    text: m(
      '{card} thin over the buffed rubber, {amount}. {flash} to flash off{humid, select, yes {: the air is humid, so twice its time} other {}}.',
      {
        card: conditioner.card.code,
        amount: q(conditioner.mixMl, 'volume'),
        flash: minutes(
          Math.max(('leastMin' in after ? after.leastMin : 0) ?? 0, flashOf(conditioner)),
        ),
        humid: isHumid(work) ? 'yes' : 'no',
      },
    ),
    people: 1,
    figures: ['round.conditioner.total', 'cure.conditioner.tackFree'],
    wrong: [wrong(t('Left over its time'), t('Buff lightly, dust off, condition again.'))],
  }),
];

const coverSteps = ({
  sheet,
  strip,
  work,
  after,
  strips,
  covers,
  card,
  main,
}: Rounds): StepDraft[] => [
  ...(sheet && strip
    ? [
        ...mixSteps(work, sheet.first, [after]),
        step.touch(sheet.first, 'cement-1', {
          title: t('First coat of cement'),
          text: m('Thin, on belt and strip, brushed into the nap. Left until it is dry.'),
          people: 1,
          figures: ['round.cement-1.total'],
        }),
        ...mixSteps(work, sheet.second, [
          {
            round: sheet.first.id,
            at: 'tackFree',
            until: 'overcoatCloses',
            missed: 'condition',
            why: m('First coat dry, and still live.'),
          },
        ]),
        step.touch(sheet.second, 'cement-2', {
          title: t('Second coat'),
          text: m('The same again; touch-dry means it pulls no string to the knuckle.'),
          people: 1,
          figures: ['round.cement-2.total'],
        }),
        step.build(strip, 'strip', {
          does: 'place',
          title: t('Lay the strip'),
          minutes: work.trade.belt.stripMin * strips,
          text: m(
            '{n, plural, one {One strip} other {# strips}}, {width} wide, {margin} past the rip each side. From one end, film drawn off as it goes: it cannot be moved once it touches.',
            {
              n: strips,
              width: mm(covers[0]?.stripWidthMm ?? 0),
              margin: mm(covers[0]?.marginGotMm ?? 0),
            },
          ),
          people: 2,
          figures: ['strips'],
          uses: () => [card.code],
          after: [
            {
              round: sheet.second.id,
              at: 'tackFree',
              until: 'overcoatCloses',
              missed: 'condition',
              why: m('Cement touch-dry, inside its open time.'),
            },
          ],
          wrong: [wrong('A fold', t('Cut it out and inlay a piece, edges skived.'))],
        }),
        step.build(strip, 'stitch', {
          does: 'place',
          title: t('Stitch it down'),
          minutes: work.trade.belt.stitchMin * strips,
          text: m('Roller from the centre out, hard, every line over the last: no air is left.'),
          wrong: [wrong('A blister', t('Open it with a point, then roll it down.'))],
        }),
      ]
    : pourSteps(work, main as Round, after)),
];

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, m('The belt stands.')),
  step.during(last, 'tack-free', {
    at: 'tackFree',
    title: t('Is it tack-free'),
    minutes: 2,
    text: m('Touch it with a clean glove. Pull the backing off only if the glove stays clean.'),
  }),
  lookAndTap(
    ready,
    t('No bubbles, no open edge, feathered to nothing. It bends with the belt and does not lift.'),
    [wrong(t('An edge lifts'), t('Cut it back to where it holds, buff, condition, fill.'))],
  ),
  ...hardness(work),
  step.inspect('run', {
    title: t('Run it slow'),
    minutes: 10,
    text: m(
      'Once round, empty and slow, past scraper and rollers; watch the place come by. Then with load.',
    ),
    after: ready,
    wrong: [
      wrong(t('The scraper catches'), t('Stop. Grind the edge down, lower the scraper’s press.')),
    ],
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...conditionSteps(made),
  ...coverSteps(made),
  cleanTools(made.last),
  ...acceptSteps(made),
];
