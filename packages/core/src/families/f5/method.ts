import { line } from '../../calc/calc';
import { m, ml, mm, q } from '../../message/message';
import {
  returnToService,
  hardness,
  lookAndTap,
  pressureFigures,
  pressureSteps,
  thickness,
} from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { approval, isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  dustOff,
  gradeStep,
  mask,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { layTape, tapeMl, WRAP_FIGURES, WRAP_OFF, wrapFigures } from '../../methods/wrap';
import { closing, figureOf } from '../../work/figure';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { PipeWrapSurvey } from './survey';

const stepIds = ['wall-grid', 'fair', 'prime', 'isolation', 'compact', 'bind', 'record'] as const;
const step = stepsOf(stepIds);
type W = Work<PipeWrapSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 14 };
/** A laminate stiffer than this is carbon: on wet steel it causes galvanic corrosion, MPa. */
const CARBON_MPA = 40_000;
/** Resin brushed into the profile before the first ply, mm. */
const PRIME_MM = 0.25;
/** Rolling down and wetting out a ply, as a share of the minutes for laying it. */
const COMPACT_SHARE = 0.5;

const half = ({ wrap }: W) => (wrap?.lengthsMm[0] ?? 0) / 2;
const carbon = ({ card }: W) => (card.laminate?.hoopModulusMPa ?? 0) > CARBON_MPA;
const design = ({ wrap }: W) => (wrap?.design?.ok ? wrap.design : null);
/** A hole gets a plug; a thinned wall is filled to the pipe's round. Both before laminating. */
const holed = ({ survey }: W) => survey.damages[0]?.shape === 'hole';

export const method: Method<PipeWrapSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'overlap', 'taper', 'resin'],
  schools: ['plug'],
  cautions: ['pressure'],
  nextLookDays: LOOK_DAYS,
  removal: () => WRAP_OFF,
  draft: (work) => {
    const { survey, demand, card, wrap } = work;
    const metal = demand.material;
    const fairing =
      holed(work) && work.schools.plug === 'wrap'
        ? null
        : work.second({ purpose: holed(work) ? 'plug' : 'fair', wetted: holed(work), under: card });
    const fair = fairing
      ? work.round(
          mainSpec(work, {
            id: holed(work) ? 'plug' : 'fair',
            purpose: holed(work) ? 'plug' : 'fair',
            title: holed(work) ? m('Plug') : m('Fairing'),
            ...fairing,
            areaMm2: 0,
            touches: [mixTouch(fairing.card), { name: 'fair', placing: 1 }],
            needed: null,
          }),
        )
      : null;
    const resinMl = tapeMl(work) * (card.tape?.resinShare ?? 1);
    const pipe = survey.damages[0];
    const wetMm2 = (wrap?.lengthsMm[0] ?? 0) * Math.PI * (pipe?.outsideDiameterMm ?? 0);
    const prime = work.round(
      mainSpec(work, {
        id: 'prime',
        purpose: 'primer',
        title: m('Prime'),
        netMl: (wetMm2 * PRIME_MM) / 1000,
        areaMm2: 0,
        pieces: 0,
        buildMm: PRIME_MM,
        working: undefined,
        touches: [mixTouch(card), { name: 'prime', placing: COMPACT_SHARE }],
        needed: null,
      }),
    );
    const glass = carbon(work)
      ? work.second({ purpose: 'isolation-ply', wetted: false, under: card })
      : null;
    const ply = glass?.card.tape?.plyMm ?? 0.45;
    const isolation = glass
      ? work.round(
          mainSpec(work, {
            id: 'isolation',
            purpose: 'isolation-ply',
            title: m('Glass ply'),
            ...glass,
            netMl: (wetMm2 * ply * (glass.card.tape?.resinShare ?? 0.55)) / 1000,
            areaMm2: 0,
            pieces: wetMm2 / 1e6 / ((glass.card.tape?.widthMm ?? 150) / 1000),
            buildMm: ply,
            working: undefined,
            touches: [mixTouch(glass.card), { name: 'isolation', placing: 1 }],
            needed: null,
          }),
        )
      : null;
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'wrap',
        title: m('Plies'),
        netMl: resinMl,
        areaMm2: 0,
        pieces: wrap?.metres ?? 0,
        packIds: wrap?.packIds,
        working: () => [
          line('Vl', 'laminate', 'width · ply · metres', tapeMl(work), 'ml'),
          line(
            's',
            'resin in it',
            'as on the card',
            (card.tape?.resinShare ?? 1) * 100,
            '%',
            `card ${card.code}`,
          ),
        ],
        touches: [
          mixTouch(card),
          { name: 'place', placing: 1 },
          { name: 'compact', placing: COMPACT_SHARE },
        ],
      }),
    );
    const ready = [notBefore(main, demand.needed)];
    const made = design(work);
    const base: Round[] = [...(fair ? [fair] : []), prime, ...(isolation ? [isolation] : []), main];
    const wetOn = (before: Round) => ({
      step: before === prime ? 'prime' : 'isolation',
      least: 0,
      most: before.batches[before.batches.length - 1]?.useMin ?? 60,
      missed: 'abrade' as const,
      why: m('Wet on wet: while the coat under it still is open.'),
    });
    return {
      rounds: base,
      steps: [
        approval(
          'pressure-engineer',
          m(
            '{plies} plies by the composite repair method, after ISO 24817 and ASME PCC-2 part 4.',
            { plies: wrap?.layers ?? 0 },
          ),
        ),
        isolate(work, {
          extra: m(
            'Flow that cannot be shut off: reduce the pressure first, to the engineer’s plan.',
          ),
        }),
        protect(work),
        ...removeOld(work),
        step.prep(
          'wall-grid',
          'look',
          'Measure the wall',
          20,
          m(
            'Ultrasonic readings in a grid over the damage and {half} past it each way: the wall must be sound where the overlap bonds.',
            { half: mm(half(work)) },
          ),
          { hold: { kind: 'photo', label: m('Grid with its readings') } },
        ),
        degrease(work),
        gradeStep(work, half(work)),
        dustOff(),
        mask(half(work)),
        wipe(work),
        ...beforeMixing(work),
        ...(fair
          ? [
              ...mixSteps(work, fair),
              step.touch(
                fair,
                'fair',
                holed(work) ? 'Plug the hole' : 'Fill and fair',
                holed(work)
                  ? m(
                      '{amount} of {card} pressed into the hole, struck to the round of the pipe.',
                      { amount: ml(fair.mixMl), card: fair.card.code },
                    )
                  : m(
                      '{amount} of {card} into the damage, struck to the round of the pipe. Fair every step so that no ply bridges.',
                      { amount: ml(fair.mixMl), card: fair.card.code },
                    ),
                {
                  figures: [`round.${fair.id}.total`],
                  wrong: [
                    wrong(
                      'A hollow under the plies',
                      'Fill it before the next ply: a bridge carries nothing.',
                    ),
                  ],
                },
              ),
              waitFor(
                fair,
                fair.card.cure.milestones.handle ? 'handle' : 'tackFree',
                'Is it shaped hard',
                m('A fingernail leaves no mark. Abrade it matt, dust off, wipe.'),
                { minutes: 10, does: 'wait' },
              ),
            ]
          : []),
        ...mixSteps(work, prime),
        step.touch(
          prime,
          'prime',
          'Wet the steel',
          m('Resin brushed hard into the profile, {thick} wet, no bare place.', {
            thick: q(PRIME_MM * 1000, 'thinFilm'),
          }),
          { figures: ['round.prime.total'] },
        ),
        ...(isolation
          ? [
              ...mixSteps(work, isolation, [wetOn(prime)]),
              step.touch(
                isolation,
                'isolation',
                'Glass ply first',
                m(
                  'One ply of glass, {card}, wetted out, under all of the carbon: carbon on wet {metal} is a battery.',
                  {
                    card: isolation.card.code,
                    metal: metal === 'stainless' ? 'stainless steel' : 'steel',
                  },
                ),
                { figures: ['round.isolation.total'] },
              ),
            ]
          : []),
        ...mixSteps(work, main, [wetOn(isolation ?? prime)]),
        layTape(
          work,
          main,
          m('Lay {plies} plies', { plies: wrap?.layers ?? 0 }),
          m('Change the roll at a lap. Each ply inside the life of its batch.'),
        ),
        step.touch(
          main,
          'compact',
          'Compact each ply',
          m(
            'Squeeze from the middle to the edges, roll each ply down. Step the ends back: {taper} of taper. Next ply on wet.',
            { taper: mm(made?.taperMm ?? 0) },
          ),
          {
            figures: ['overlap', 'taper'],
            wrong: [
              wrong(
                'A white place',
                'Dry or with air in it: squeeze resin through while it is wet.',
              ),
            ],
          },
        ),
        step.build(
          main,
          'bind',
          'form',
          'Bind it',
          5,
          m('Compression film over all, tight, pricked. Leave it on to the set.'),
          { uses: ['film'] },
        ),
        cleanTools(main),
        leave(
          work,
          main,
          m('No pressure on it. A kept sample of each batch is felt before it is.'),
        ),
        lookAndTap(
          ready,
          'No dry cloth, no wrinkle across the plies, no delamination. Tap on a grid: one sound.',
          [
            wrong(
              m('Hollow under {most} across', { most: mm(25) }),
              'Drill, inject resin, record it.',
            ),
            wrong(
              'Larger, or at the edge',
              'Take it off to there, lay it again: the engineer decides.',
            ),
          ],
        ),
        thickness(
          work.buildMm,
          4,
          m('Thickness at four places round, {target} or more by the design.', {
            target: mm(work.buildMm),
          }),
        ),
        ...hardness(work),
        step.inspect(
          'record',
          'Record it',
          10,
          m(
            'Plies, lots, readings, who laid it: kept for the life of the line, and signed by the engineer.',
          ),
          {
            hold: { kind: 'approval', who: 'pressure-engineer' },
          },
        ),
        ...pressureSteps(work, ready),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the pipe under the wrap')),
        wipeNeed(work, m('the prepared steel')),
        {
          kind: 'plain',
          id: 'film',
          name: 'Compression film',
          for: m('over the plies'),
          amount: 1,
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        const paths = [
          'damages.0.outsideDiameterMm',
          'damages.0.wallMm',
          'line.pressureBar',
          'line.designC',
        ];
        return [
          ...wrapFigures(work),
          ...pressureFigures(work),
          figureOf('resin', 'Resin in the plies', resinMl, 'volume', [
            line('Vl', 'laminate', 'width · ply · metres', tapeMl(work), 'ml'),
            line('Vr', 'resin', 'Vl · its resin share', resinMl, 'ml', `card ${card.code}`),
          ]),
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
    };
  },
};
