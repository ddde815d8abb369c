import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, positive, wastePct } from '../calc/number';

export const BeltHole = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('round'),
    diameterMm: positive().meta(named(t('Diameter'), 'mm')),
  }),
  z.strictObject({
    kind: z.literal('slot'),
    lengthMm: positive().meta(named(t('Length'), 'mm')),
    widthMm: positive().meta(named(t('Width'), 'mm')),
  }),
]);
export type BeltHole = z.infer<typeof BeltHole>;

export const BeltPatchInput = z.strictObject({
  hole: BeltHole.meta(named(t('Hole'))),
  throughMm: positive().meta(named(t('Depth filled'), 'mm')),
  lapMm: atLeastZero().meta(named(t('Lap'), 'mm')),
  coverMm: atLeastZero().meta(named(t('Cover'), 'mm')),
  through: z
    .boolean()
    .default(false)
    .meta(named(t('The hole goes right through'))),
  wastePct: wastePct()
    .default(0)
    .meta(named(t('Stays on tools'), '%')),
});
export type BeltPatchInput = z.output<typeof BeltPatchInput>;
export interface BeltPatch {
  holeMl: number;
  coverMl: number;
  totalMl: number;
  primerAreaMm2: number;
}

/** Area of the hole's outline, grown by `by` on every side, mm². */
function grown(hole: BeltHole, by: number): number {
  return hole.kind === 'round'
    ? (Math.PI * (hole.diameterMm + 2 * by) ** 2) / 4
    : (hole.lengthMm + 2 * by) * (hole.widthMm + 2 * by);
}

/**
 * Rubber for a hole in a belt (mm in, ml out): the hole to `throughMm` below the surface, a cover over it that tapers
 * to zero at the edge of the overlap, and the area to prime. Never refuses.
 */
export function beltPatch(input: BeltPatchInput): Worked<BeltPatch> {
  const { hole, throughMm, lapMm, coverMm, through, wastePct } = input;
  const more = 1 + wastePct / 100;
  const [holeMm2, midMm2, outerMm2] = [0, lapMm / 2, lapMm].map((by) => grown(hole, by)) as [
    number,
    number,
    number,
  ];
  const rimMm =
    hole.kind === 'round' ? Math.PI * hole.diameterMm : 2 * (hole.lengthMm + hole.widthMm);
  const holeMl = (holeMm2 * throughMm * more) / 1000;
  const coverMl = ((coverMm / 6) * (outerMm2 + 4 * midMm2 + holeMm2) * more) / 1000;
  const totalMl = holeMl + coverMl;
  const primerAreaMm2 = outerMm2 - (through ? holeMm2 : 0) + rimMm * throughMm;
  const working = [
    line({
      symbol: 'A0',
      label: t('hole'),
      expression:
        hole.kind === 'round'
          ? `π·${formatFigure(hole.diameterMm)}²/4`
          : `${formatFigure(hole.lengthMm)}·${formatFigure(hole.widthMm)}`,
      value: holeMm2,
      unit: 'mm²',
    }),
    line({
      symbol: 'A2',
      label: t('grown by the lap of {lap}', { lap: formatFigure(lapMm) }),
      expression: t('on every side'),
      value: outerMm2,
      unit: 'mm²',
      source: 'card',
    }),
    line({
      symbol: 'A1',
      label: t('grown by half the lap'),
      expression: t('on every side'),
      value: midMm2,
      unit: 'mm²',
    }),
    line({
      symbol: 'Vc',
      label: t('cover'),
      expression: `${formatFigure(coverMm)}/6·(A2 + 4·A1 + A0)·(1 + ${formatFigure(wastePct)} %)/1000`,
      value: coverMl,
      unit: 'ml',
      source: 'prismatoid',
    }),
    line({ symbol: 'V', label: t('in all'), expression: 'Vh + Vc', value: totalMl, unit: 'ml' }),
    line({
      symbol: 'Ap',
      label: t('to prime'),
      expression: `A2${through ? ' − A0' : ''} + ${formatFigure(rimMm)}·${formatFigure(throughMm)}`,
      value: primerAreaMm2,
      unit: 'mm²',
    }),
    line({
      symbol: 'Vh',
      label: t('hole'),
      expression: `A0·${formatFigure(throughMm)}·(1 + ${formatFigure(wastePct)} %)/1000`,
      value: holeMl,
      unit: 'ml',
    }),
  ];
  return worked({ holeMl, coverMl, totalMl, primerAreaMm2 }, working);
}

export const beltPatchCalc = defineCalc({
  name: 'belt-patch',
  purpose: t('Rubber for a belt hole with its lap, and the area to prime.'),
  input: BeltPatchInput,
  run: beltPatch,
  result: {
    holeMl: named(t('Hole'), 'ml'),
    coverMl: named(t('Cover'), 'ml'),
    totalMl: named(t('To mix'), 'ml'),
    primerAreaMm2: named(t('Primer area'), 'mm²'),
  },
  formula: [
    'hole = A₀·depth·(1 + waste)',
    'cover = t/6·(A_outer + 4·A_mid + A₀)·(1 + waste)',
    t('primer = A_outer − (A₀ if through) + rim·depth'),
  ],
  source: t('Prismatoid; each outline grown by the lap, half of it, nothing.'),
  limits: t('Flat belt. Whole kits only: take the total to the kits of the card.'),
  example: {
    hole: { kind: 'round', diameterMm: 68 },
    throughMm: 18,
    lapMm: 130,
    coverMm: 3.8,
    through: true,
    wastePct: 12,
  },
});
