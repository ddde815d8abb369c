import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { AGGREGATE_KGL } from '../../work/weighing';
import { t } from '../../text/text';
import { type WorkingLine } from '../../calc/calc';
import { mortarBatch } from '../../mix/mortarBatch';
import { m, mm } from '../../message/message';
import { mainSpec, overcoat } from '../../methods/build';
import { aggregateFor, mixSteps, mixTouch } from '../../methods/mix';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import type { Round } from '../../work/round';
import type { After, StepDraft } from '../../work/step';
import { waterPerBag, type Consistency } from '../../work/weighing';
import { crewOf, type Work } from '../../work/work';
import type { FloorPatchSurvey } from './survey';

export const stepIds = [
  'cut',
  'etch',
  'neutral',
  'cracks',
  'crack-fill',
  'coat',
  'finish',
  'joints',
  'cove',
  'seal',
  'level',
] as const;
export const step = stepsOf(stepIds);
export type W = Work<FloorPatchSurvey>;

export const isPowder = ({ card }: W) => card.mix.kind === 'powder-water';
export const has = ({ survey }: W, shape: 'patch' | 'overlay' | 'coving') =>
  survey.damages.some((d) => d.shape === shape);
export const floorMm2 = ({ survey }: W) =>
  survey.damages.reduce(
    (s, d) => s + d.lengthMm * (d.shape === 'coving' ? d.legMm * 2 : d.widthMm),
    0,
  );

const consistencyOf = (work: W, i: number): Consistency => {
  const { mix } = work.card;
  if (mix.kind !== 'powder-water' || !mix.waterLPerBag.base || work.coats === 1) return 'patch';
  return i === work.coats - 1 && mix.waterLPerBag.finish ? 'finish' : 'base';
};

export function coats(work: W): Round[] {
  const { card, coats: n } = work;
  return Array.from({ length: n }, (_, i) => {
    const consistency = consistencyOf(work, i);
    const lastOne = i === n - 1;
    const title =
      n === 1
        ? m('Mortar')
        : consistency === 'finish'
          ? m('Finish coat')
          : consistency === 'base' && n === 2 && i === 0
            ? m('Base coat')
            : m('Coat {no} of {n}', { no: i + 1, n });
    return work.round(
      mainSpec(work, {
        id:
          n === 1
            ? 'main'
            : consistency === 'finish'
              ? 'finish'
              : consistency === 'base' && n === 2 && i === 0
                ? 'base'
                : `coat-${i + 1}`,
        purpose: consistency === 'finish' ? 'finish' : n === 1 ? 'patch' : 'base',
        title,
        netMl: work.netMl / n,
        areaMm2: i === 0 ? work.areaMm2 : 0,
        buildMm: work.coatMm,
        consistency,
        aggregatePct: aggregateFor(card, work.buildMm),
        touches: [
          mixTouch(card),
          { name: 'coat', placing: work.trade.floor.spreadShare },
          { name: 'finish', placing: work.trade.floor.finishShare },
        ],
        needed: lastOne ? work.demand.needed : null,
      }),
    );
  });
}

/** One coat, and its place among the coats of the repair. */
interface CoatOf {
  work: W;
  round: Round;
  first: boolean;
  last: boolean;
}

/**
 * Steps to mix one coat. A mortar is placed on damp concrete; a resin within the overcoat window of the coat below
 * it.
 */
const mixed = ({ work, round }: CoatOf, window: After[]): StepDraft[] =>
  isPowder(work)
    ? [
        step.prep('dampen', {
          does: 'dampen',
          title: t('Dampen to SSD'),
          minutes: 10,
          says: sentences(`
            Wet the concrete just before you mix the mortar.
            Wait until it is dark and shows no water.
          `),
          round,
          after: window,
        }),
        ...mixSteps(work, round, [
          {
            step: 'dampen',
            most: work.trade.concrete.dampMin,
            missed: 'dampen' as const,
            why: m('Place the mortar before the damp surface dries.'),
          },
        ]),
      ]
    : mixSteps(work, round, window);

const laidOn = ({ work, round, first, last }: CoatOf): StepDraft[] => [
  step.touch(round, 'coat', {
    title: round.title,
    says: [
      isPowder(work) &&
        first &&
        sentences(`Brush a thin coat of the mortar hard into the damp concrete.`),
      sentences(
        `
          Spread the material from the far end back to the exit.
          Thickness: {thick}.
        `,
        {
          thick: perDamage(
            work.bodies.map((b) =>
              mm(b.buildMm * (round.buildMm / Math.max(work.buildMm, Number.MIN_VALUE))),
            ),
          ),
        },
      ),
    ],
    people: Math.max(1, crewOf({ card: round.card, areaMm2: work.areaMm2 }) - 1),
    figures: ['coats', 'coat'],
    wrong: [
      wrong(t('It drags'), t('It sets. Stop, add no water, and cut the edge square there.')),
      wrong(
        t('Cracks like a map'),
        t('It dried too fast. Cover it with film. Cut wide cracks out.'),
      ),
    ],
  }),
  step.touch(round, 'finish', {
    title: last ? (has(work, 'overlay') ? t('Broom it') : t('Strike off')) : t('Leave it rough'),
    says: last
      ? has(work, 'overlay')
        ? sentences(`Draw a broom over it in one direction while it keeps the lines.`)
        : sentences(`
          Strike the material off on the edges and float it.
          Float a step to a gentle slope.
        `)
      : sentences(`
        Level it with a gauge rake.
        Leave it rough for the next coat.
      `),
    people: 1,
  }),
];

const cove = (round: Round): StepDraft =>
  step.build(round, 'cove', {
    does: 'place',
    title: t('Run the cove'),
    minutes: 15,
    says: sentences(`
      Wet a cove trowel.
      Draw it along the corner in one stroke.
      Thin the ends out.
    `),
  });

const joints = (round: Round): StepDraft =>
  step.build(round, 'joints', {
    does: 'finish',
    title: t('Rake joints, scrape high spots'),
    minutes: 10,
    says: sentences(`
      Rake the material out of joints and edges.
      Scrape high spots off with a straight edge.
      Brush the surface clean.
    `),
    after: round.card.cure.milestones.tackFree ? [notBefore(round, 'tackFree')] : [],
  });

export const coatSteps = (work: W, rounds: readonly Round[]): StepDraft[] =>
  rounds.flatMap((round, i) => {
    const before = rounds[i - 1];
    const last = i === rounds.length - 1;
    const coat = { work, round, first: i === 0, last };
    // Joints are raked and high spots scraped after the base coat, or after the only coat.
    const isBase = i === Math.max(0, rounds.length - 2);
    return [
      ...mixed(coat, before ? [overcoat(work, before)] : []),
      ...laidOn(coat),
      ...(last && has(work, 'coving') ? [cove(round)] : []),
      ...(isBase ? [joints(round)] : []),
    ];
  });

/** Bags, water and aggregate of each coat, by its own water demand. */
export function bags(work: W, rounds: readonly Round[]) {
  const { mix } = work.card;
  if (mix.kind !== 'powder-water') return null;
  const each = rounds.map((r) =>
    mortarBatch({
      volumeL: r.mixMl / 1000,
      bagKg: mix.bagKg,
      yieldLPerBag: mix.yieldLPerBag,
      waterLPerBag: waterPerBag(mix, r.consistency),
      aggregatePct: r.aggregatePct,
      aggregateDensityKgL: AGGREGATE_KGL,
      wastePct: 0,
    }),
  );
  const working: WorkingLine[] = each.flatMap((b, i) =>
    each.length > 1
      ? b.working.map((w) => ({ ...w, label: `coat ${i + 1}: ${w.label}` }))
      : b.working,
  );
  return { bags: each.reduce((s, b) => s + b.bags, 0), working };
}
