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
    extra: m('Close the area; drains covered, power in the floor found and dead.'),
  }),
  protect(work, { extra: m('Film on machines and drains.') }),
  ...removeOld(work),
  degrease(work),
  ...(has(work, 'patch')
    ? [
        step.prep('cut', {
          does: 'abrade',
          title: t('Cut the edges straight'),
          minutes: 25 * survey.damages.filter((d) => d.shape === 'patch').length,
          text: m(
            'Saw a straight edge, {deep} deep or more, break out to sound: no feather edge round a patch. Wet, and a P3 mask.',
            { deep: mm(work.trade.floor.edgeMm) },
          ),
          sparks: survey.site.area === 'safe',
        }),
      ]
    : []),
  gradeStep(work, 0),
  dustOff(t('Vacuum all of it, edges last. Dust is a release agent.')),
  step.prep('etch', {
    does: 'wet',
    title: t('Clean and etch'),
    minutes: 15,
    text: m(
      '{aid}, one part into {parts} of water, acid into water. Brush until it stops fizzing.',
      {
        aid: aidName(work, 'etch'),
        parts: work.trade.floor.etchParts,
      },
    ),
    uses: ['etch'],
    figures: ['supply.etch'],
  }),
  step.prep('neutral', {
    does: 'wet',
    title: t('Wash and neutralise'),
    minutes: 15,
    text: m('Wash twice. Soda in the second; then water until the paper says neutral, pH {ph}.', {
      ph: 7,
    }),
    wrong: [wrong(t('Paper under pH 7'), t('Wash again: what is left of the acid eats the bond.'))],
  }),
  ...(isPowder(work)
    ? []
    : [
        step.prep('dry', {
          does: 'dry',
          title: t('Dry it'),
          minutes: 15,
          text: m(
            'Let it dry as far as the card asks. Tape a clear film over it: no fog must form under the film.',
          ),
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
          text: m(
            '{card} into every crack, chased {wide} by {deep}, struck flush: they come through what is laid over them.',
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
          text: m('Press a fingernail into it. It is hard when no mark stays.'),
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
        text: m(
          '{card} by roller, {wet} wet, {cross, select, yes {across the first} other {thin}}. Dry before it rains on it.',
          {
            card: seal.card.code,
            wet: q(wetUmOf(seal), 'thinFilm'),
            cross: i > 0 ? 'yes' : 'no',
          },
        ),
        people: 1,
        figures: ['sealWet', `round.${seal.id}.total`],
        wrong: [wrong(t('White bloom under it'), t('Sealed too wet: strip, wait, seal again.'))],
      }),
    ];
  }),
];

const acceptSteps = ({ work, end, ready, last, seals }: Rounds): StepDraft[] => [
  leave(
    work,
    end,
    isPowder(work)
      ? m(
          'Cover the mortar with film, or fog it with water, until it is sealed. Keep draught and sun off it.',
        )
      : m('Keep draught, sun and feet off it.'),
  ),
  lookAndTap(
    ready,
    t(
      'Check that the edges are level and that there is no net of cracks and no dust. Drag a chain over it: the sound must be the same everywhere.',
    ),
    [
      wrong(t('It drums'), t('It has let go: cut that part out square, wet it better.')),
      wrong(t('It dusts'), t('Too wet or dried too fast: harden it, or overlay.')),
    ],
  ),
  fingernail(work),
  step.inspect('level', {
    title: t('Straight edge and water'),
    minutes: 8,
    text: m(
      'Two metres, four ways, {gap} at most; then a pail of water: it runs to the drain, none stands.',
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
    text: m(
      'Feet {foot}, wheels {wheels}{sealed, select, yes {; the sealer: feet {sealFoot}, wheels {sealWheels}} other {}}.',
      {
        foot: momentText(last, 'lightLoad'),
        wheels: momentText(last, 'fullLoad'),
        sealed: seals.length > 0 ? 'yes' : 'no',
        sealFoot: momentText(end, 'lightLoad'),
        sealWheels: momentText(end, 'fullLoad'),
      },
    ),
    does: 'tidy',
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
