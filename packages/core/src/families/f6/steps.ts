import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
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
      says: sentences(`
        Fill the hole first, from the bottom, at one place, so that air gets out.
        Fill it level with the belt.
      `),
      people: 1,
      figures: ['holeMl', 'coverMl'],
      wrong: [
        wrong(t('Bubbles rise'), t('Open the bubbles with a needle while the material flows.')),
      ],
    }),
    step.touch(main, 'cover', {
      title: t('Carry it past, feather'),
      says: [
        sentences(
          `
            Cover the hole {cover} thick.
            Go past the edge of the damage and thin it out: {lap} on all sides.
          `,
          { cover: mm(work.trade.belt.coverMm), lap: mm(work.trade.belt.lapMm) },
        ),
        !stands &&
          work.survey.surface.slope === 'level' &&
          sentences(`Then leave it: it levels by itself.`),
      ],
      people: 1,
      wrong: [
        wrong(
          t('It pulls strings'),
          t('Its working life is over. Stop and throw away what is left.'),
        ),
      ],
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
    extra: sentences(`
      Lock the belt so that it cannot run back.
      Take the load off the belt at the damage.
    `),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('cut', {
    does: 'open-up',
    title: t('Cut it clean'),
    minutes: 8 * survey.damages.length,
    says: sheet
      ? sentences(`
        Round the corners of the rip.
        Cut the edges to a slope. Do not cut a cord.
      `)
      : sentences(`
        Cut the loose rubber away, down to rubber that holds.
        Leave round edges. Do not cut a cord.
      `),
  }),
  degrease(work),
  gradeStep(work, work.trade.belt.lapMm, {
    extra: sentences(`
      Go on until the rubber is matt and rough.
      Do not smear the rubber: a smear does not bond.
    `),
  }),
  step.prep('dust-off', {
    does: 'dust-off',
    title: t('Brush it dry'),
    minutes: 3,
    says: sentences(`
      Brush the dust off with a dry brush.
      Use no solvent and do not touch the rubber again.
    `),
  }),
  ...(holes > 0 && !sheet
    ? [
        step.prep('back', {
          does: 'dam',
          title: t('Back the hole'),
          minutes: 5 * holes,
          says: sentences(`
            Put film on a smooth plate.
            Press the plate hard against the back of the hole.
          `),
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
          says: sentences(
            `
              The belt slopes by {deg}°. Put a strip of putty along the low side.
              Make the strip {high} high, higher than the cover.
            `,
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
    says: sentences(
      `
        Brush {amount} of {card} thinly over the buffed rubber.
        Wait {flash}{humid, select, yes {: the air is humid, so it takes twice as long} other {}}.
      `,
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
    wrong: [
      wrong(
        t('It was left too long'),
        t('Buff it lightly and brush the dust off. Apply the conditioner again.'),
      ),
    ],
  }),
];

const stripSteps = (
  { work, strips, covers, card }: Rounds,
  strip: Round,
  cement: Round,
): StepDraft[] => [
  step.build(strip, 'strip', {
    does: 'place',
    title: t('Lay the strip'),
    minutes: work.trade.belt.stripMin * strips,
    says: sentences(
      `
        Lay {n, plural, one {one strip} other {# strips}}. Width: {width}.
        Go past the rip on both sides by this much: {margin}.
        Start at one end and pull the film off as you go. You cannot move the strip once it touches.
      `,
      {
        n: strips,
        width: perDamage(covers.map((c) => mm(c.stripWidthMm))),
        margin: perDamage(covers.map((c) => mm(c.marginGotMm))),
      },
    ),
    people: 2,
    figures: ['strips'],
    uses: () => [card.code],
    after: [
      {
        round: cement.id,
        at: 'tackFree',
        until: 'overcoatCloses',
        missed: 'condition',
        why: m('Cement touch-dry, inside its open time.'),
      },
    ],
    wrong: [wrong(t('A fold'), t('Cut the fold out. Lay a piece there with sloped edges.'))],
  }),
  step.build(strip, 'stitch', {
    does: 'place',
    title: t('Stitch it down'),
    minutes: work.trade.belt.stitchMin * strips,
    says: sentences(
      `Roll hard from the centre to the edges, each line over the last, until no air is left.`,
    ),
    wrong: [wrong(t('A blister'), t('Open it with a needle, then roll it down.'))],
  }),
];

const coverSteps = (made: Rounds): StepDraft[] => {
  const { sheet, strip, work, after, main } = made;
  return [
    ...(sheet && strip
      ? [
          ...mixSteps(work, sheet.first, [after]),
          step.touch(sheet.first, 'cement-1', {
            title: t('First coat of cement'),
            says: sentences(`
              Brush a thin coat of cement on the belt and on the strip.
              Let it dry.
            `),
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
            says: sentences(`
              Brush a second thin coat on the belt and on the strip.
              Touch it with a knuckle: it is right when it pulls no string.
            `),
            people: 1,
            figures: ['round.cement-2.total'],
          }),
          ...stripSteps(made, strip, sheet.second),
        ]
      : pourSteps(work, main as Round, after)),
  ];
};

const acceptSteps = ({ work, last, ready }: Rounds): StepDraft[] => [
  leave(work, last, sentences(`Keep the belt stopped.`)),
  step.during(last, 'tack-free', {
    at: 'tackFree',
    title: t('Is it tack-free'),
    minutes: 2,
    says: sentences(`
      Touch it with a clean glove: the glove must stay clean.
      Take the backing and the dams off.
    `),
  }),
  lookAndTap(
    ready,
    sentences(`
      Look for bubbles and open edges: there must be none.
      Bend the belt: the repair must not lift.
    `),
    [
      wrong(
        t('An edge lifts'),
        t('Cut it back to where it holds. Buff it, apply conditioner and fill it again.'),
      ),
    ],
  ),
  ...hardness(work),
  step.inspect('run', {
    title: t('Run it slow'),
    minutes: 10,
    says: sentences(`
      Run the belt once round, empty and slow.
      Watch the repair pass the scraper and the rollers.
      Then run it with load.
    `),
    warns: sentences(`Keep hands and clothes away from the moving belt.`),
    after: ready,
    wrong: [
      wrong(
        t('The scraper catches'),
        t('Stop the belt. Grind the edge down and press the scraper less.'),
      ),
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
