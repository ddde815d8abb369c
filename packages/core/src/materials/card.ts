import { z } from 'zod';
import { CurePoints } from '../cure/cureTime';
import { gateLimits } from '../ambient/ambientGate';
import { Kit } from '../mix/kitPick';
import { Ratio } from '../mix/ratio';
import { DAMP, MEDIA, METALS, PREP_GRADES, SLOPES } from './words';

const mm = () => z.number().gt(0).max(10000);
const celsius = () => z.number().min(-60).max(400);
/** 0 none, 1 poor, 2 fair, 3 good, 4 very good. */
const rating = () => z.int().min(0).max(4);

/** The moments of a cure that somebody waits for. `life` is the working life; the order is that of a plain job. */
export const MILESTONES = [
  'life',
  'tackFree',
  'overcoatOpens',
  'overcoatCloses',
  'handle',
  'machine',
  'lightLoad',
  'fullLoad',
  'immersion',
  'chemical',
] as const;
export const MilestoneId = z.enum(MILESTONES);
export type MilestoneId = z.infer<typeof MilestoneId>;

export const MILESTONE_NAMES: Record<MilestoneId, string> = {
  life: 'working life ends',
  tackFree: 'tack-free',
  overcoatOpens: 'overcoat opens',
  overcoatCloses: 'overcoat closes',
  handle: 'handle',
  machine: 'machine',
  lightLoad: 'light load',
  fullLoad: 'full load',
  immersion: 'immersion',
  chemical: 'full chemical',
};

export const TwoPartMix = z.strictObject({
  kind: z.literal('two-part'),
  ratio: Ratio,
  densityA: z.number().gt(0).max(25),
  densityB: z.number().gt(0).max(25),
  tolerancePct: z.number().min(0).max(20),
  wholeKit: z.boolean(),
  mixMinutes: z.number().gt(0).max(30),
  mixedSign: z.string(),
  tool: z.string(),
});

export const Pack = Kit.omit({ stock: true }).extend({ label: z.string() });
export type Pack = z.infer<typeof Pack>;

const PrepFor = z.strictObject({
  metal: z.enum(METALS),
  lasting: z.enum(PREP_GRADES),
  stopgap: z.enum(PREP_GRADES),
  profileUm: z.strictObject({ min: z.number().gt(0), max: z.number().gt(0) }),
});

const MediumLimit = z.strictObject({
  medium: z.enum(MEDIA),
  maxC: celsius(),
  note: z.string().optional(),
});

/** A repair material as its data sheet gives it: everything the rules and the plan ask of it. */
export const SystemCard = z.strictObject({
  role: z.literal('system'),
  code: z.string().regex(/^[A-Z]-\d{3}$/, 'one letter, a hyphen, three digits, such as R-210'),
  version: z.int().min(1),
  name: z.string(),
  summary: z.string(),
  families: z.array(z.string()).min(1),
  example: z.boolean(),
  mix: z.discriminatedUnion('kind', [TwoPartMix]),
  packs: z.array(Pack).min(1),
  cure: z.strictObject({
    refMassG: z.number().gt(0),
    massExponent: z.number().min(0).max(1),
    milestones: z.partialRecord(MilestoneId, CurePoints),
  }),
  ambient: z.strictObject(gateLimits),
  damp: z.enum(DAMP),
  substrates: z.array(PrepFor).min(1),
  service: z.strictObject({
    dryHeatC: celsius(),
    wetHeatC: celsius(),
    minC: celsius(),
    media: z.array(MediumLimit),
    ph: z.strictObject({ min: z.number().min(0).max(14), max: z.number().min(0).max(14) }),
    sliding: rating(),
    erosion: rating(),
    impact: rating(),
    machinable: z.boolean(),
    compressiveMPa: z.number().gt(0),
    lapShearMPa: z.number().gt(0),
    hardnessShoreD: z.number().gt(0).max(100),
  }),
  postCure: z
    .strictObject({ tempC: celsius(), minutes: z.number().gt(0), withoutC: celsius() })
    .optional(),
  layer: z.strictObject({
    minMm: mm(),
    minEdgeMm: mm(),
    maxMm: z.record(z.enum(SLOPES), mm()),
    maxTotalMm: mm(),
    leastCoats: z.int().min(1),
    volumeSolidsPct: z.number().gt(0).max(100),
  }),
  applyMlPerMin: z.number().gt(0),
  wastePct: z.number().min(0).max(100),
  hazards: z.array(z.string()),
  ppe: z.array(z.string()),
  mustNotTouch: z.array(z.string()),
  shelfLifeMonths: z.int().min(1),
  storage: z.string(),
  openedPack: z.string(),
  /** Expected life in days by duty: lasting with the full prep, stop-gap with the lesser one. */
  lifeDays: z.strictObject({ lasting: z.number().gt(0), stopgap: z.number().gt(0) }),
});
export type SystemCard = z.infer<typeof SystemCard>;

/** A help to the job that is no repair material: cleaner, release agent, wipe. */
export const AidCard = z.strictObject({
  role: z.literal('aid'),
  code: z.string().regex(/^A-\d{3}$/, 'A, a hyphen, three digits, such as A-905'),
  version: z.int().min(1),
  name: z.string(),
  summary: z.string(),
  use: z.enum(['degreaser', 'release', 'wipe', 'primer', 'conditioner', 'etch']),
  example: z.boolean(),
  flashOffMinutes: z.number().min(0),
  coverageM2L: z.number().gt(0),
  packs: z.array(Pack).min(1),
  hazards: z.array(z.string()),
  ppe: z.array(z.string()),
  mustNotTouch: z.array(z.string()),
});
export type AidCard = z.infer<typeof AidCard>;

export const Card = z.discriminatedUnion('role', [SystemCard, AidCard]);
export type Card = z.infer<typeof Card>;

/** Density of the mixed material in g/ml, volumes taken as adding up. */
export function mixedDensity({ mix }: SystemCard): number {
  const r =
    mix.ratio.by === 'volume'
      ? mix.ratio.a / mix.ratio.b
      : ((mix.ratio.a / mix.ratio.b) * mix.densityB) / mix.densityA;
  return (r * mix.densityA + mix.densityB) / (r + 1);
}
