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
    m('{plies} plies by the composite repair method, after ISO 24817 and ASME PCC-2 part 4.', {
      plies: wrap?.layers ?? 0,
    }),
  ),
  isolate(work, {
    extra: m('Flow that cannot be shut off: reduce the pressure first, to the engineer’s plan.'),
  }),
  protect(work),
  ...removeOld(work),
  step.prep('wall-grid', {
    does: 'look',
    title: t('Measure the wall'),
    minutes: 20,
    text: m(
      'Ultrasonic readings in a grid over the damage and {half} past it each way: the wall must be sound where the overlap bonds.',
      { half: mm(half(work)) },
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
          text: holed(work)
            ? m('{amount} of {card} pressed into the hole, struck to the round of the pipe.', {
                amount: ml(fair.mixMl),
                card: fair.card.code,
              })
            : m(
                '{amount} of {card} into the damage, struck to the round of the pipe. Fair every step so that no ply bridges.',
                { amount: ml(fair.mixMl), card: fair.card.code },
              ),
          figures: [`round.${fair.id}.total`],
          wrong: [
            wrong(
              t('A hollow under the plies'),
              t('Fill it before the next ply: a bridge carries nothing.'),
            ),
          ],
        }),
        waitFor(fair, fair.card.cure.milestones.handle ? 'handle' : 'tackFree', {
          title: t('Is it shaped hard'),
          text: m(
            'Press a fingernail into it: it is hard when no mark stays. Then abrade it until it is matt, remove the dust and wipe it.',
          ),
          more: { minutes: 10, does: 'wait' },
        }),
      ]
    : []),
  ...mixSteps(work, prime),
  step.touch(prime, 'prime', {
    title: t('Wet the steel'),
    text: m('Resin brushed hard into the profile, {thick} wet, no bare place.', {
      thick: q(work.trade.wrap.primeMm * 1000, 'thinFilm'),
    }),
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
          text: m(
            'One ply of glass, {card}, wetted out, under all of the carbon: carbon on wet {metal} is a battery.',
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
    extra: m('Change the roll at a lap. Each ply inside the life of its batch.'),
  }),
  step.touch(main, 'compact', {
    title: t('Compact each ply'),
    text: m(
      'Squeeze from the middle to the edges, roll each ply down. Step the ends back: {taper} of taper. Next ply on wet.',
      { taper: mm(made?.taperMm ?? 0) },
    ),
    figures: ['overlap', 'taper'],
    wrong: [
      wrong(t('A white place'), t('Dry or with air in it: squeeze resin through while it is wet.')),
    ],
  }),
  step.build(main, 'bind', {
    does: 'form',
    title: t('Bind it'),
    minutes: 5,
    text: m(
      'Wrap compression film tightly over all of it and prick holes into it. Leave it on until the resin has set.',
    ),
    uses: ['film'],
  }),
  cleanTools(main),
];

const acceptSteps = ({ work, main, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    main,
    m('Put no pressure on it until the kept sample of each batch has been felt and is hard.'),
  ),
  lookAndTap(
    ready,
    t('No dry cloth, no wrinkle across the plies, no delamination. Tap on a grid: one sound.'),
    [
      wrong(
        m('A hollow sound, less than {most} across', { most: mm(25) }),
        t('Drill into the hollow, inject resin and record it.'),
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
    text: m('Thickness at four places round, {target} or more by the design.', {
      target: mm(work.buildMm),
    }),
  }),
  ...hardness(work),
  step.inspect('record', {
    title: t('Record it'),
    minutes: 10,
    text: m(
      'Plies, lots, readings, who laid it: kept for the life of the line, and signed by the engineer.',
    ),
    hold: { kind: 'approval', who: 'pressure-engineer' },
  }),
  ...pressureSteps(work, ready),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...fairSteps(made),
  ...wrapSteps(made),
  ...acceptSteps(made),
];
