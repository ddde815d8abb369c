import { t } from '../text/text';
import { z } from 'zod';
import { typedText } from '../calc/typed';
import { Ratio } from '../mix/ratio';

const minutes = () => z.number().min(0.01).max(120);
const litres = () => z.number().min(0.001).max(100);
const density = () => z.number().min(0.01).max(25);
/** Allowed error of the weighed ratio, percent; with a default. */
const tolerance = (usual: number) => z.number().min(0).max(50).default(usual);
const common = { mixMinutes: minutes(), mixedSign: typedText(300), tool: typedText(200) };

export const TwoPartMix = z.strictObject({
  kind: z.literal('two-part'),
  ratio: Ratio,
  densityA: density(),
  densityB: density(),
  tolerancePct: z.number().min(0).max(20),
  wholeKit: z.boolean(),
  ...common,
});
/** A cartridge mixes in its nozzle: the first part is purged and discarded. */
export const CartridgeMix = z.strictObject({
  kind: z.literal('cartridge'),
  ratio: Ratio,
  density: density(),
  purgeMl: z.number().min(0).max(200),
  ...common,
});
/** Bags mixed with water, by each coat's consistency. */
export const PowderMix = z.strictObject({
  kind: z.literal('powder-water'),
  bagKg: density().max(100),
  yieldLPerBag: z.number().gt(0).max(100),
  waterLPerBag: z.strictObject({
    patch: litres(),
    base: litres().optional(),
    finish: litres().optional(),
  }),
  restMinutes: z.number().min(0).max(60),
  maxAggregatePct: z.number().min(0).max(100),
  /** Fills deeper than this are extended with aggregate, mm. */
  aggregateOverMm: z.number().gt(0).max(1000).default(50),
  tolerancePct: tolerance(5),
  ...common,
});
/** A bandage whose resin is activated by water. */
export const WaterSetMix = z.strictObject({
  kind: z.literal('water-set'),
  soakSeconds: z.number().gt(0).max(600),
  squeezes: z.int().min(0).max(20),
  leastLayers: z.int().min(1).max(40),
  ...common,
});
export const DissolvedMix = z.strictObject({
  kind: z.literal('dissolved'),
  solventDensityGml: density(),
  solids: z.strictObject({ paste: z.number().gt(0).lt(1), syrup: z.number().gt(0).lt(1) }),
  density: density(),
  tolerancePct: tolerance(10),
  ...common,
});
export const LightCuredMix = z.strictObject({
  kind: z.literal('light-cured'),
  depthPerPassMm: z.number().gt(0).max(20),
  doseJcm2: z.number().gt(0).max(1000),
  filler: z.number().gt(0).max(20),
  density: density(),
  ...common,
});
/** Granules bound by a resin. */
export const CrumbMix = z.strictObject({
  kind: z.literal('crumb'),
  bulkDensityKgL: density(),
  compaction: z.number().min(0.5).max(3),
  binderPct: z.number().gt(0).max(60),
  primerShare: z.number().min(0).lt(1),
  tolerancePct: tolerance(5),
  ...common,
});
/** Ready to use, or kneaded by hand. */
export const SingleMix = z.strictObject({
  kind: z.literal('single'),
  density: density(),
  ...common,
});

/** How a material is prepared for use. */
export const Mix = z.discriminatedUnion('kind', [
  TwoPartMix,
  CartridgeMix,
  PowderMix,
  WaterSetMix,
  DissolvedMix,
  LightCuredMix,
  CrumbMix,
  SingleMix,
]);
export type Mix = z.infer<typeof Mix>;
export type TwoPartMix = z.infer<typeof TwoPartMix>;
export type PowderMix = z.infer<typeof PowderMix>;
export type DissolvedMix = z.infer<typeof DissolvedMix>;

/** Density of the mix of two parts, g/ml; their volumes are assumed to add up. */
function twoPartDensity(mix: TwoPartMix): number {
  const r =
    mix.ratio.by === 'volume'
      ? mix.ratio.a / mix.ratio.b
      : ((mix.ratio.a / mix.ratio.b) * mix.densityB) / mix.densityA;
  return (r * mix.densityA + mix.densityB) / (r + 1);
}

/** Density of the placed material, g/ml; a wrap counts as a glass laminate. */
export function placedDensity(mix: Mix): number {
  switch (mix.kind) {
    case 'two-part':
      return twoPartDensity(mix);
    case 'powder-water':
      return (mix.bagKg + mix.waterLPerBag.patch) / mix.yieldLPerBag;
    case 'crumb':
      return mix.bulkDensityKgL * mix.compaction * (1 + mix.binderPct / 100);
    case 'water-set':
      return 1.6;
    default:
      return mix.density;
  }
}

/** How a material is prepared, in one phrase. */
export function mixText(mix: Mix): string {
  switch (mix.kind) {
    case 'two-part':
      return `${mix.ratio.a} : ${mix.ratio.b} by ${mix.ratio.by}, within ${mix.tolerancePct} %${mix.wholeKit ? t(', whole kits only') : ''}`;
    case 'cartridge':
      return t('cartridge {base} : {hardener}, purge {purgeMl} ml and set it aside', {
        base: mix.ratio.a,
        hardener: mix.ratio.b,
        purgeMl: mix.purgeMl,
      });
    case 'powder-water':
      return t('{bagKg} kg into {patch} l of water, rest {restMinutes} min', {
        bagKg: mix.bagKg,
        patch: mix.waterLPerBag.patch,
        restMinutes: mix.restMinutes,
      });
    case 'water-set':
      return t('soak {soakSeconds} s, squeeze {squeezes} times, {leastLayers} layers or more', {
        soakSeconds: mix.soakSeconds,
        squeezes: mix.squeezes,
        leastLayers: mix.leastLayers,
      });
    case 'dissolved':
      return t('solids {paste} % for paste, {syrup} % for syrup', {
        paste: mix.solids.paste * 100,
        syrup: mix.solids.syrup * 100,
      });
    case 'light-cured':
      return t('passes of {depthPerPass} mm, {doseJcm2} J/cm² each', {
        depthPerPass: mix.depthPerPassMm,
        doseJcm2: mix.doseJcm2,
      });
    case 'crumb':
      return t('binder {binder} % of the granules, {primerShare} % of it to prime', {
        binder: mix.binderPct,
        primerShare: mix.primerShare * 100,
      });
    case 'single':
      return t('ready as it is');
  }
}
