import { t } from '../text/text';
import type { SystemCard } from '../materials/card';
import type { DissolvedMix, Mix, PowderMix } from '../materials/mix';
import type { Slope } from '../materials/words';
import { mixCheck } from '../mix/mixCheck';
import { mixSplit } from '../mix/mixSplit';
import type { Ratio } from '../mix/ratio';
import { rubberCrumb } from '../mix/rubberCrumb';

/** The water demand of a powder by coat: a patch, the base of an overlay, or its finish. */
export const CONSISTENCIES = ['patch', 'base', 'finish'] as const;
export type Consistency = (typeof CONSISTENCIES)[number];

/** The weighed parts of a mix: their names, ratio and tolerance. */
export interface Weighing {
  nameA: string;
  nameB: string;
  ratio: Ratio;
  densityA: number;
  densityB: number;
  tolerancePct: number;
}

/** Bulk density of powder and granules, g/ml: only for volumes beside a mass; their ratio is by mass. */
const LOOSE_GML = 1.3;

/** Water per bag for a consistency, l; that of the patch if the card has no other. */
export const waterPerBag = (mix: PowderMix, consistency: Consistency): number =>
  mix.waterLPerBag[consistency] ?? mix.waterLPerBag.patch;

/** Share of dissolved solids: a paste stays on a wall, a syrup levels on a flat surface. */
export const solidsFor = (mix: DissolvedMix, slope: Slope): number =>
  slope === 'level' ? mix.solids.syrup : mix.solids.paste;

/** What is weighed for a mix; null for a whole kit, a cartridge, a wrap, or a ready material. */
export function weighing(
  mix: Mix,
  consistency: Consistency = 'patch',
  slope: Slope = 'level',
): Weighing | null {
  switch (mix.kind) {
    case 'two-part': {
      if (mix.wholeKit) return null;
      const { ratio, densityA, densityB, tolerancePct } = mix;
      return { nameA: t('Base'), nameB: t('Hardener'), ratio, densityA, densityB, tolerancePct };
    }
    case 'powder-water':
      return {
        nameA: t('Powder'),
        nameB: t('Water'),
        ratio: { a: mix.bagKg, b: waterPerBag(mix, consistency), by: 'mass' },
        densityA: LOOSE_GML,
        densityB: 1,
        tolerancePct: mix.tolerancePct,
      };
    case 'crumb':
      return {
        nameA: t('Granules'),
        nameB: t('Binder'),
        ratio: { a: 100, b: mix.binderPct * (1 - mix.primerShare), by: 'mass' },
        densityA: mix.bulkDensityKgL,
        densityB: 1.1,
        tolerancePct: mix.tolerancePct,
      };
    case 'dissolved': {
      const solids = solidsFor(mix, slope);
      return {
        nameA: t('Pellets'),
        nameB: t('Solvent'),
        ratio: { a: solids, b: 1 - solids, by: 'mass' },
        densityA: 1.05,
        densityB: mix.solventDensityGml,
        tolerancePct: mix.tolerancePct,
      };
    }
    default:
      return null;
  }
}

/** Grams of both parts for a placed volume, ml; null if nothing is weighed. */
export function partsFor(
  card: SystemCard,
  ml: number,
  {
    consistency,
    slope,
    aggregatePct = 0,
  }: { consistency: Consistency; slope: Slope; aggregatePct?: number },
): { aG: number; bG: number } | null {
  const { mix } = card;
  const weigh = weighing(mix, consistency, slope);
  if (!weigh) return null;
  switch (mix.kind) {
    case 'powder-water': {
      const bags = ml / 1000 / litresPerBag(mix, aggregatePct);
      return { aG: bags * mix.bagKg * 1000, bG: bags * waterPerBag(mix, consistency) * 1000 };
    }
    case 'crumb': {
      const { bulkDensityKgL, compaction, binderPct, primerShare } = mix;
      const made = rubberCrumb({
        volumeL: ml / 1000,
        bulkDensityKgL,
        compaction,
        binderPct,
        primerShare,
        wastePct: 0,
      });
      return { aG: made.granulesKg * 1000, bG: made.mixBinderKg * 1000 };
    }
    case 'dissolved': {
      const solids = solidsFor(mix, slope);
      const grams = ml * mix.density;
      return { aG: grams * solids, bG: grams * (1 - solids) };
    }
    default: {
      const { ratio, densityA, densityB } = weigh;
      const { aG, bG } = mixSplit({ ratio, densityA, densityB, total: { ml } });
      return { aG, bG };
    }
  }
}

/** Density of the aggregate in a mortar, kg/l. */
export const AGGREGATE_KGL = 2.65;

/** Yield of a bag, l, with aggregate as a share of its mass, percent. */
export const litresPerBag = (mix: PowderMix, aggregatePct: number): number =>
  mix.yieldLPerBag + (mix.bagKg * aggregatePct) / 100 / AGGREGATE_KGL;

/** The weighed masses against the ratio; null if nothing is weighed. */
export function checkWeighed(
  mix: Mix,
  weighed: { aG: number; bG: number },
  { consistency, slope }: { consistency: Consistency; slope: Slope },
) {
  const weigh = weighing(mix, consistency, slope);
  if (!weigh) return null;
  const { ratio, densityA, densityB, tolerancePct } = weigh;
  return mixCheck({ ratio, densityA, densityB, tolerancePct, weighed });
}
