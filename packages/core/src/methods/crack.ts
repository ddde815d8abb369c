import { perDamage } from './perDamage';
import { sentences } from '../message/sentences';
import { t } from '../text/text';
import { line } from '../calc/calc';
import { fillKind } from '../materials/card';
import { m, mm } from '../message/message';
import { crackRoute } from '../work/crack';
import { figureOf, type Figure } from '../work/figure';
import type { StepDraft } from '../work/step';
import type { Need } from '../work/supplies';
import type { Work } from '../work/work';
import { step } from './step';

interface Run {
  lengthMm: number;
  widthMm: number;
}

export const isMortar = ({ card }: Work): boolean => card.mix.kind === 'powder-water';
export const isSealant = ({ card }: Work): boolean => fillKind(card) === 'flexible';

/** How all cracks of a job are opened: the widest decides. */
export const routeOf = (work: Work): ReturnType<typeof crackRoute> =>
  crackRoute(work.card, work.demand.crack?.widthMm ?? 0, work.trade);

/** Sand below the fill, ml: the rest of each crack, as it was opened. */
const sandMl = (work: Work): number =>
  work.schools.sand === 'none' || isSealant(work) || isMortar(work)
    ? 0
    : work.bodies.reduce((sum, { body, buildMm }) => {
        const { shape, sandedFromMm } = body;
        if (shape.kind !== 'groove' || sandedFromMm === null) return sum;
        return sum + (shape.lengthMm * shape.widthMm * Math.max(0, sandedFromMm - buildMm)) / 1000;
      }, 0);

/** Fills in fine dry sand before mixing, up to the working depth. */
export const sandStep = (work: Work): StepDraft[] => {
  const ml = sandMl(work);
  return ml > 0
    ? [
        step.prep('dry', {
          does: 'dam',
          title: t('Sand first'),
          minutes: 5 + ml / 1500,
          says: sentences(
            `
              Pour fine dry sand into the crack and tap it down.
              Leave this depth free: {depth}.
            `,
            {
              depth: perDamage(
                work.bodies.map((b) => (b.body.sandedFromMm === null ? null : mm(b.buildMm))),
              ),
            },
          ),
          uses: ['sand'],
          figures: ['sandBed'],
        }),
      ]
    : [];
};

export function crackNeeds(work: Work, runs: readonly Run[]): Need[] {
  const ml = sandMl(work);
  const metresMm = runs.reduce((s, r) => s + r.lengthMm, 0);
  return [
    ...(ml > 0
      ? [
          {
            kind: 'plain' as const,
            id: 'sand',
            name: t('Fine dry sand'),
            for: m('the bed under the resin'),
            amount: (ml / 1000) * work.trade.concrete.sandKgL * 1000,
            quantity: 'mass' as const,
            working: [
              line({
                symbol: 'Vs',
                label: t('bed'),
                expression: t('length · width · depth under the working depth'),
                value: ml / 1000,
                unit: 'l',
              }),
              line({
                symbol: 'ρ',
                label: t('loose sand'),
                expression: t('usual'),
                value: work.trade.concrete.sandKgL,
                unit: 'kg/l',
              }),
              line({
                symbol: 'm',
                label: t('sand'),
                expression: 'Vs·ρ·1000',
                value: ml * work.trade.concrete.sandKgL,
                unit: 'g',
              }),
            ],
          },
        ]
      : []),
    ...(isSealant(work)
      ? [
          {
            kind: 'plain' as const,
            id: 'rod',
            name: t('Backing rod'),
            for: m('under the bead, {size} thick', {
              size: mm(work.trade.concrete.rodFactor * Math.max(...runs.map((r) => r.widthMm))),
            }),
            amount: metresMm,
            quantity: 'run' as const,
          },
        ]
      : []),
  ];
}

/** Sets the backing rod before the bead, a quarter wider than the gap. */
export const rodStep = (work: Work, runs: readonly Run[]): StepDraft[] =>
  isSealant(work)
    ? [
        step.prep('dry', {
          does: 'dam',
          title: t('Backing rod'),
          minutes: 5 + runs.reduce((s, r) => s + r.lengthMm, 0) / 1000,
          says: sentences(
            `
              Push the backing rod into the gap. Rod thickness: {rod}.
              Leave {bead} free above the rod for the sealant.
            `,
            {
              rod: perDamage(runs.map((r) => mm(work.trade.concrete.rodFactor * r.widthMm))),
              bead: perDamage(work.bodies.map((b) => mm(b.buildMm))),
            },
          ),
          uses: ['rod'],
        }),
      ]
    : [];

export const CRACK_FIGURES = ['resin', 'sandBed', 'run', 'opened'] as const;

export function crackFigures(work: Work, runs: readonly Run[]): Figure[] {
  const paths = work.bodies.flatMap((b) => b.body.paths);
  const metresMm = runs.reduce((s, r) => s + r.lengthMm, 0);
  const lines = work.bodies.flatMap((b) => b.volumes.flatMap((v) => v.working));
  const sand = sandMl(work);
  return [
    figureOf({
      id: 'resin',
      label: t('Repair material'),
      value: work.netMl,
      quantity: 'volume',
      working: [
        ...lines,
        line({
          symbol: 'Vr',
          label: t('repair material'),
          expression: t('as it is opened'),
          value: work.netMl,
          unit: 'ml',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'sandBed',
      label: t('Sand bed'),
      value: sand,
      quantity: 'volume',
      working: [
        line({
          symbol: 'Vs',
          label: t('sand bed'),
          expression: t('what is under the working depth'),
          value: sand,
          unit: 'ml',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'run',
      label: t('Crack in all'),
      value: metresMm,
      quantity: 'run',
      working: [
        line({
          symbol: 'ΣL',
          label: t('crack in all'),
          expression: runs.map((r) => String(r.lengthMm)).join(' + '),
          value: metresMm,
          unit: 'mm',
          source: 'survey',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'opened',
      label: t('Filled deep'),
      value: work.buildMm,
      quantity: 'length',
      working: [
        line({
          symbol: 'h',
          label: t('filled deep'),
          expression: t('opened for {code}', { code: work.card.code }),
          value: work.buildMm,
          unit: 'mm',
        }),
      ],
      paths,
    }),
  ];
}
