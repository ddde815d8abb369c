import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { closing, figureOf } from '../plan/figure';
import { defineMethod } from './method';
import { hardness, inspect, lookAndTap, pressureSteps, thickness, tidy } from './parts/accept';
import { build } from './parts/build';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import {
  approval,
  degrease,
  gate,
  gradeStep,
  isolate,
  mask,
  mm,
  own,
  protect,
  removeOld,
  wipe,
} from './parts/prep';
import { layTape, WRAP_OFF, wrapFigures } from './parts/wrap';
import { helperCode } from '../plan/supplies';

type Work = WorkUp<SurveyOf<'F5'>>;

const half = ({ wrap }: Work) => (wrap?.lengthMm ?? 0) / 2;
const fillMl = ({ bodies }: Work) => bodies.reduce((sum, b) => sum + b.volume.grossMl, 0);
/** Carbon on steel in the wet is a battery: a glass ply goes between. */
const carbon = ({ card }: Work) => (card.laminate?.hoopModulusMPa ?? 0) > 40_000;
const design = ({ wrap }: Work) => (wrap?.design?.ok ? wrap.design : null);

export const pipeWrapMethod = defineMethod({
  family: 'F5',
  steps: (work: Work) => [
    approval(
      'design-approval',
      'pressure-engineer',
      `${work.wrap?.layers ?? 0} plies by the composite repair method, after ISO 24817 and ASME PCC-2 part 4.`,
    ),
    isolate(work, {
      text: 'Flow that cannot be shut off: reduce the pressure first, to the engineer’s plan.',
    }),
    protect(),
    ...removeOld(work),
    own(
      'survey-wall',
      'Measure the wall',
      20,
      () =>
        'Ultrasonic readings in a grid over the damage and past it each way: the wall must be sound where the overlap bonds.',
      { hold: { kind: 'photo', label: 'Grid with its readings' } },
    ),
    degrease(work),
    gradeStep(work, half(work)),
    mask(half(work)),
    wipe(work),
    gate(work),
    ...mixSteps(work),
    build(
      'fair',
      'Fill and fair',
      15,
      () =>
        `${say(fillMl(work), 'volume')} of ${helperCode(work, 'fairing')} into the damage, struck to the round of the pipe; a plug in a hole. Fair every step so that no ply bridges.`,
      {
        figures: ['supply.fairing'],
        wrong: [
          {
            sign: 'A hollow under the plies',
            remedy: 'Fill it before the next ply: a bridge carries nothing.',
          },
        ],
      },
    ),
    build(
      'prime',
      'Wet the steel',
      8,
      () =>
        'A coat of mixed resin worked into the profile, no longer than its open time before the first ply.',
    ),
    ...(carbon(work)
      ? [
          build(
            'isolate-ply',
            'Glass ply first',
            8,
            () =>
              'One ply of glass, wetted out, under all of the carbon: carbon on wet steel is a battery.',
          ),
        ]
      : []),
    ...layTape(work, { title: `Lay ${work.wrap?.layers ?? 0} plies` }),
    build(
      'compact',
      'Compact each ply',
      10,
      () =>
        `Wet out on the board, squeeze from the middle to the edges, roll each ply down. Step the ends back: ${
          design(work) ? say(design(work)?.taperMm ?? 0, 'length') : 'five thicknesses'
        } of taper. Resin inside its life, next ply on wet.`,
      {
        figures: ['overlap', 'taper'],
        wrong: [
          {
            sign: 'A white place',
            remedy: 'Dry or with air in it: squeeze resin through while it is wet.',
          },
        ],
      },
    ),
    build(
      'bind',
      'Bind it',
      5,
      () => 'Compression film over all, tight, pricked. Leave it on to the set.',
    ),
    leave(work, 'No pressure on it. A kept sample of each batch is felt before it is.'),
    lookAndTap(
      'No dry cloth, no wrinkle across the plies, no delamination. Tap on a grid: one sound.',
      [
        { sign: 'Hollow under 25 mm across', remedy: 'Drill, inject resin, record it.' },
        {
          sign: 'Larger, or at the edge',
          remedy: 'Take it off to there, lay it again: the engineer decides.',
        },
      ],
    ),
    ...hardness(work),
    thickness(
      work.buildMm,
      4,
      `Thickness at four places round, ${mm(work.buildMm)} or more by the design.`,
    ),
    inspect(
      'record',
      'Record it',
      10,
      () =>
        'Plies, lots, readings, who laid it: kept for the life of the line, and looked at by the engineer.',
      {
        hold: { kind: 'approval', who: 'pressure-engineer' },
      },
    ),
    ...pressureSteps(work),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the pipe under the wrap', areaMm2: work.demand.prepMm2 },
    { kind: 'aid', use: 'wipe', for: 'the prepared steel', areaMm2: work.demand.prepMm2 },
    {
      kind: 'help',
      help: 'fairing',
      for: 'filling to round',
      ml: fillMl(work),
      paths: work.bodies.flatMap((b) => b.body.paths),
    },
    {
      kind: 'plain',
      id: 'film',
      name: 'Compression film',
      for: 'over the plies',
      amount: 1,
      quantity: 'count',
    },
  ],
  figures: (work) => {
    const made = design(work);
    const paths = [
      'damages.0.outsideDiameterMm',
      'damages.0.wallMm',
      'line.pressureBar',
      'line.designC',
    ];
    return [
      ...wrapFigures(work),
      ...(made
        ? [
            figureOf(
              'overlap',
              'Overlap each side',
              made.overlapMm,
              'length',
              closing(made.working)('', 'overlap', made.overlapMm, 'mm'),
              paths,
            ),
            figureOf(
              'taper',
              'Taper each side',
              made.taperMm,
              'length',
              closing(made.working)('', 'taper', made.taperMm, 'mm'),
              paths,
            ),
          ]
        : []),
    ];
  },
  removal: () => WRAP_OFF,
  cautions: ['pressure'],
  nextLookDays: { lasting: 180, stopgap: 14 },
});
