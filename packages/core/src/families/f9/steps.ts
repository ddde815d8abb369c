import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, mm, q } from '../../message/message';
import { fingernail, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, overcoat } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { wetUmOf } from '../../methods/film';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, dustOff, gradeStep } from '../../methods/prep';
import { wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import { aidName } from '../../work/aids';
import type { StepDraft } from '../../work/step';
import { coatSteps, has, isPowder, step } from './coats';
import { type Rounds } from './rounds';

const prepSteps = ({ work, survey }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 10,
    extra: sentences(`
      Close the area.
      Cover the drains.
      Find the cables in the floor and make them dead.
    `),
  }),
  protect(work, {
    extra: sentences(`Cover the machines with film.`),
  }),
  ...removeOld(work),
  degrease(work),
  ...(has(work, 'patch')
    ? [
        step.prep('cut', {
          does: 'abrade',
          title: t('Cut the edges straight'),
          minutes: 25 * survey.damages.filter((d) => d.shape === 'patch').length,
          says: sentences(
            `
              Saw a straight edge round the patch, at least {deep} deep.
              Break the inside out to sound concrete.
            `,
            { deep: mm(work.trade.floor.edgeMm) },
          ),
          warns: sentences(`Wear a P3 mask, and saw wet. The dust holds silica.`),
          sparks: survey.site.area === 'safe',
        }),
      ]
    : []),
  gradeStep(work, 0),
  dustOff(sentences(`Vacuum the whole floor, the edges last.`)),
  step.prep('etch', {
    does: 'wet',
    title: t('Clean and etch'),
    minutes: 15,
    says: sentences(
      `
        Pour one part of {aid} into {parts} parts of water.
        Brush it over the concrete until it stops fizzing.
      `,
      { aid: aidName(work, 'etch'), parts: work.trade.floor.etchParts },
    ),
    warns: sentences(`Pour acid into water, never water into acid. It can boil and splash.`),
    uses: ['etch'],
    figures: ['supply.etch'],
  }),
  step.prep('neutral', {
    does: 'wet',
    title: t('Wash and neutralise'),
    minutes: 15,
    says: sentences(
      `
        Wash the floor twice. Put soda into the second water.
        Rinse until pH paper shows {ph}.
      `,
      { ph: 7 },
    ),
    wrong: [
      wrong(t('The paper shows less than 7'), t('Wash again. Acid that is left spoils the bond.')),
    ],
  }),
  ...(isPowder(work)
    ? []
    : [
        step.prep('dry', {
          does: 'dry',
          title: t('Dry it'),
          minutes: 15,
          says: sentences(`
            Let the floor dry.
            Tape a clear film over it: no fog may form under the film.
          `),
        }),
      ]),
  ...beforeMixing(work),
];

const buildSteps = ({ crack, work, coatRounds, last, seals }: Rounds): StepDraft[] => [
  ...(crack
    ? [
        ...mixSteps(work, crack),
        step.touch(crack, 'crack-fill', {
          title: t('Fill the cracks'),
          says: sentences(
            `
              Cut every crack open, {wide} wide and {deep} deep.
              Fill it with {card} and strike it off flush.
            `,
            {
              card: crack.card.code,
              wide: mm(work.trade.floor.chaseWidthMm),
              deep: mm(work.trade.floor.chaseDepthMm),
            },
          ),
          people: 1,
          figures: ['round.crack.total'],
        }),
        waitFor(crack, 'tackFree', {
          title: t('Is the crack hard'),
          text: sentences(`Press a fingernail into it: it must leave no mark.`),
        }),
      ]
    : []),
  ...coatSteps(work, coatRounds),
  cleanTools(last),
  ...seals.flatMap((seal, i) => {
    const before = seals[i - 1];
    return [
      ...mixSteps(work, seal, [
        before
          ? overcoat(work, before)
          : {
              round: last.id,
              at: 'overcoatOpens' as const,
              until: 'overcoatCloses' as const,
              missed: 'abrade' as const,
              why: m('Sealed when the mortar is dry enough by its card.'),
            },
      ]),
      step.touch(seal, 'seal', {
        title: seal.title,
        says: sentences(
          `
            Roll {card} on. Wet thickness: {wet}.
            {cross, select, yes {Roll across the first coat.} other {Roll it thin.}}
            Keep rain off until it is dry.
          `,
          { card: seal.card.code, wet: q(wetUmOf(seal), 'thinFilm'), cross: i > 0 ? 'yes' : 'no' },
        ),
        people: 1,
        figures: ['sealWet', `round.${seal.id}.total`],
        wrong: [
          wrong(
            t('White bloom shows under it'),
            t('The mortar was too wet. Strip the sealer, wait, and seal again.'),
          ),
        ],
      }),
    ];
  }),
];

const acceptSteps = ({ work, end, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    end,
    isPowder(work)
      ? sentences(`
        Cover the mortar with film until it is sealed.
        Keep draught and sun off it.
      `)
      : sentences(`Keep draught, sun and people off it.`),
  ),
  lookAndTap(
    ready,
    sentences(`
      Check that the edges are level and that there are no fine cracks and no dust.
      Drag a chain over it: the sound must be the same everywhere.
    `),
    [
      wrong(
        t('A hollow sound'),
        t('Cut that part out square. Wet the base better and place it again.'),
      ),
      wrong(t('The surface dusts'), t('Treat it with a hardener, or lay an overlay on it.')),
    ],
  ),
  fingernail(work),
  step.inspect('level', {
    title: t('Straight edge and water'),
    minutes: 8,
    says: sentences(
      `
        Lay a straight edge of two metres on the floor in four directions.
        The gap may be {gap} at most.
        Pour a pail of water on the floor: it must run to the drain.
      `,
      { gap: mm(work.trade.floor.levelMm) },
    ),
    hold: {
      kind: 'reading',
      label: m('Widest gap'),
      quantity: 'length',
      min: null,
      max: work.trade.floor.levelMm,
    },
  }),
  step.inspect('open-traffic', {
    title: t('Say when it opens'),
    minutes: 2,
    says: [
      sentences(
        `
          Let people walk on it {foot}.
          Let wheels on it {wheels}.
        `,
        { foot: momentText(end, 'lightLoad'), wheels: momentText(end, 'fullLoad') },
      ),
    ],
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
