import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, ml, mm, q } from '../../message/message';
import { hardness, lookAndTap, pressureSteps, thickness } from '../../methods/accept';
import { approval, isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, dustOff, gradeStep, mask, wipe } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import { layTape } from '../../methods/wrap';
import type { StepDraft } from '../../work/step';
import { holed, type Rounds, type W } from './rounds';

export const stepIds = [
  'wall-grid',
  'fair',
  'prime',
  'isolation',
  'compact',
  'bind',
  'record',
] as const;
const step = stepsOf(stepIds);

const half = ({ wrap }: W) => (wrap?.lengthsMm[0] ?? 0) / 2;

const prepSteps = ({ wrap, work }: Rounds): StepDraft[] => [
  approval(
    'pressure-engineer',
    m('The design has {plies} plies, after ISO 24817 and ASME PCC-2 part 4.', {
      plies: wrap?.layers ?? 0,
    }),
  ),
  isolate(work, {
    extra: sentences(
      `If the flow cannot be shut off, reduce the pressure by the plan of the engineer.`,
    ),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('wall-grid', {
    does: 'look',
    title: t('Measure the wall'),
    minutes: 20,
    says: sentences(
      `
        Measure the wall by ultrasound in a grid over each damage.
        Go this far past the middle of the damage on both sides: {half}.
        Make sure that the wall is sound where the wrap bonds.
      `,
      { half: perDamage((wrap?.lengthsMm ?? []).map((length) => mm(length / 2))) },
    ),
    hold: { kind: 'photo', label: m('Grid with its readings') },
  }),
  degrease(work),
  gradeStep(work, half(work)),
  dustOff(),
  mask(half(work)),
  wipe(work),
  ...beforeMixing(work),
];

const fairSteps = ({ fair, work, prime }: Rounds): StepDraft[] => [
  ...(fair
    ? [
        ...mixSteps(work, fair),
        step.touch(fair, 'fair', {
          title: holed(work) ? t('Plug the hole') : t('Fill and fair'),
          says: holed(work)
            ? sentences(
                `
                  Press {amount} of {card} into the hole.
                  Shape it to the round of the pipe.
                `,
                { amount: ml(fair.mixMl), card: fair.card.code },
              )
            : sentences(
                `
                  Fill the damage with {amount} of {card}.
                  Shape it to the round of the pipe, so that no ply has a hollow under it.
                `,
                { amount: ml(fair.mixMl), card: fair.card.code },
              ),
          figures: [`round.${fair.id}.total`],
          wrong: [
            wrong(t('A hollow under the plies'), t('Fill the hollow before you lay the next ply.')),
          ],
        }),
        waitFor(fair, fair.card.cure.milestones.handle ? 'handle' : 'tackFree', {
          title: t('Is it shaped hard'),
          text: sentences(`
            Press a fingernail into it: it must leave no mark.
            Abrade it until it is matt.
            Brush the dust off and wipe it.
          `),
          more: { minutes: 10, does: 'wait' },
        }),
      ]
    : []),
  ...mixSteps(work, prime),
  step.touch(prime, 'prime', {
    title: t('Wet the steel'),
    says: sentences(
      `
        Brush the resin hard into the profile. Wet thickness: {thick}.
        Leave no bare place.
      `,
      { thick: q(work.trade.wrap.primeMm * 1000, 'thinFilm') },
    ),
    figures: ['round.prime.total'],
  }),
];

const wrapSteps = ({
  isolation,
  work,
  wetOn,
  prime,
  metal,
  main,
  wrap,
  made,
}: Rounds): StepDraft[] => [
  ...(isolation
    ? [
        ...mixSteps(work, isolation, [wetOn(prime)]),
        step.touch(isolation, 'isolation', {
          title: t('Glass ply first'),
          says: sentences(
            `
              Lay one ply of {card}, wet through, under all of the carbon.
              Leave no place where carbon touches the {metal}: it would corrode.
            `,
            {
              card: isolation.card.code,
              metal: metal === 'stainless' ? t('stainless steel') : 'steel',
            },
          ),
          figures: ['round.isolation.total'],
        }),
      ]
    : []),
  ...mixSteps(work, main, [wetOn(isolation ?? prime)]),
  layTape(work, main, {
    title: m('Lay {plies} plies', { plies: wrap?.layers ?? 0 }),
    extra: sentences(`Finish each ply inside the life of its batch.`),
  }),
  step.touch(main, 'compact', {
    title: t('Compact each ply'),
    says: sentences(
      `
        Squeeze each ply from the middle to the edges.
        Roll it down.
        Step the ends of the plies back over {taper}.
        Lay the next ply while this one is wet.
      `,
      { taper: mm(made?.taperMm ?? 0) },
    ),
    figures: ['overlap', 'taper'],
    wrong: [wrong(t('A white place'), t('Squeeze resin through it while it is wet.'))],
  }),
  step.build(main, 'bind', {
    does: 'form',
    title: t('Bind it'),
    minutes: 5,
    says: sentences(`
      Wrap compression film tightly over the plies.
      Prick holes into the film.
      Leave it on until the resin has set.
    `),
    uses: ['film'],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    main,
    sentences(`Put no pressure on it until the kept sample of each batch is hard.`),
  ),
  lookAndTap(
    ready,
    sentences(`
      Look for dry cloth, wrinkles and loose plies: there must be none.
      Tap on a grid with a coin: the sound must be the same everywhere.
    `),
    [
      wrong(
        m('A hollow sound, less than {most} across', { most: mm(25) }),
        t('Drill into the hollow and inject resin. Write it down.'),
      ),
      wrong(
        t('A larger hollow, or one at the edge'),
        t('Cut the laminate off up to there and lay it again. The engineer decides.'),
      ),
    ],
  ),
  thickness(work, {
    targetMm: work.buildMm,
    minReadings: 4,
    text: m('Measure the thickness at four places round the pipe: {target} or more.', {
      target: mm(work.buildMm),
    }),
  }),
  ...hardness(work),
  ...pressureSteps(work, ready),
  step.inspect('record', {
    title: t('Record it'),
    minutes: 10,
    says: sentences(`
      Write down the plies, the lots, the readings and who laid the plies.
      Keep this record for the life of the line.
      Have it signed by the engineer.
    `),
    hold: { kind: 'approval', who: 'pressure-engineer' },
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...fairSteps(made),
  ...wrapSteps(made),
  ...acceptSteps(made),
];
