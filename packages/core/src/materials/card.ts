import { z } from 'zod';
import { typedText } from '../calc/typed';
import { gateLimits } from '../ambient/ambientGate';
import { CurePoints } from '../cure/cureTime';
import { Laminate } from '../wrap/laminate';
import { MilestoneId } from './milestones';
import { Mix, placedDensity } from './mix';
import { PREP_GRADES, SUBSTRATES } from './substrates';
import { CHEMISTRIES, HAZARDS } from './hazards';
import { APPROVALS, DAMP, MEDIA, NEARBY, PERMISSIONS, PURPOSES, SLOPES, STRAINS } from './words';

const mm = () => z.number().min(0.001).max(10_000);
const celsius = () => z.number().min(-60).max(400);
const micron = () => z.number().gt(0).max(5000);
const minutes = () => z.number().gt(0).max(100_000);
const days = () => z.number().min(0.01).max(36_500);
/** More coats than this are no repair of this kind. */
export const MOST_COATS = 40;
const mega = () => z.number().min(0.001).max(1e7);
/** 0 none, 1 poor, 2 fair, 3 good, 4 very good. */
const rating = () => z.int().min(0).max(4);

/** What a pack holds is counted in: millilitres to place, metres of wrap, or pieces of sheet. */
export const PACK_UNITS = ['ml', 'm', 'piece'] as const;

export const Pack = z.strictObject({
  id: typedText(80, 1),
  label: typedText(80, 1),
  size: z.number().min(0.01).max(1e7),
  /** Width of the wrap in it, where the packs of a card differ in it, mm. */
  widthMm: z.number().gt(0).max(2000).optional(),
  price: z.number().gt(0).max(1e7),
});
export type Pack = z.infer<typeof Pack>;

const PrepFor = z.strictObject({
  material: z.enum(SUBSTRATES),
  lasting: z.enum(PREP_GRADES),
  stopgap: z.enum(PREP_GRADES),
  profileUm: z.strictObject({ min: micron(), max: micron() }).optional(),
});

const MediumLimit = z.strictObject({
  medium: z.enum(MEDIA),
  maxC: celsius(),
  maxConcPct: z.number().gt(0).max(100).optional(),
  note: typedText(300).optional(),
});

const Service = z.strictObject({
  dryHeatC: celsius(),
  wetHeatC: celsius(),
  minC: celsius(),
  media: z.array(MediumLimit).max(60),
  ph: z.strictObject({ min: z.number().min(0).max(14), max: z.number().min(0).max(14) }),
  sliding: rating(),
  erosion: rating(),
  impact: rating(),
  cavitation: rating().default(1),
  /** Ways of being loaded that it is made for, besides its figures. */
  strains: z.array(z.enum(STRAINS)).default([]),
  flex: rating(),
  /** Movement a filled gap stands, percent of its width. */
  movementPct: z.number().min(0).max(200),
  /** Pressure it may hold, bar; 0: none. A laminate’s own is worked out, not stated. */
  pressureBar: z.number().min(0).max(400),
  machinable: z.boolean(),
  compressiveMPa: mega().optional(),
  tensileMPa: mega().optional(),
  lapShearMPa: mega().optional(),
  modulusMPa: mega().optional(),
  hardness: z
    .strictObject({ scale: z.enum(['A', 'D']), least: z.number().gt(0).max(100) })
    .optional(),
});

const Layer = z.strictObject({
  minMm: mm(),
  minEdgeMm: z.number().min(0).max(1000),
  maxMm: z.record(z.enum(SLOPES), mm()),
  maxTotalMm: mm(),
  leastCoats: z.int().min(1).max(MOST_COATS),
  volumeSolidsPct: z.number().gt(0).max(100),
});

/** A repair material as its data sheet gives it: everything the rules and the plan ask of it. */
export const SystemCard = z.strictObject({
  role: z.literal('system'),
  code: z.string().regex(/^[A-Z]-\d{3}$/, 'one letter, a hyphen, three digits, such as R-210'),
  version: z.int().min(1).max(1e6),
  name: typedText(60, 1),
  summary: typedText(200),
  /** Families it repairs by itself; none where it only helps another. */
  families: z.array(typedText(8, 1)).max(100),
  /** What it does beside another system: plugs a hole under a wrap, seals ports, seals a floor. */
  helps: z.array(z.enum(PURPOSES)).default([]),
  example: z.boolean(),
  /** Why it is no longer used; left out while it is. Plans that were made with it keep it. */
  withdrawn: typedText(120, 3).optional(),
  mix: Mix,
  packUnit: z.enum(PACK_UNITS),
  packs: z.array(Pack).min(1).max(40),
  cure: z.strictObject({
    refMassG: z.number().min(1).max(1e6),
    massExponent: z.number().min(0).max(1),
    milestones: z.partialRecord(MilestoneId, CurePoints),
  }),
  ambient: z.strictObject(gateLimits),
  damp: z.enum(DAMP),
  /** What it is approved for, and the certificate that says so. */
  approvals: z
    .array(z.strictObject({ for: z.enum(APPROVALS), certificate: typedText(80, 1) }))
    .default([]),
  substrates: z.array(PrepFor).min(1).max(60),
  service: Service,
  postCure: z
    .strictObject({ tempC: celsius(), minutes: minutes(), withoutC: celsius() })
    .optional(),
  layer: Layer,
  /** Widths of crack it runs into and stays in, mm. */
  crackMm: z.strictObject({ min: z.number().min(0), max: mm() }).optional(),
  laminate: Laminate.optional(),
  /** How it is injected: ports by the wall, paste round them, time at each by the width of the crack. */
  injection: z
    .strictObject({
      maxSpacingMm: mm(),
      sealWidthMm: mm(),
      sealThickMm: mm(),
      expansion: z.number().gt(0).max(60),
      minutesPerPort: z
        .array(z.strictObject({ uptoWidthMm: mm(), minutes: minutes() }))
        .min(1)
        .max(40),
    })
    .optional(),
  /** Wrap or sheet as it comes, mm. */
  /** `resinShare`: resin in a laminate laid by hand, as a share of its volume. */
  tape: z
    .strictObject({
      widthMm: mm(),
      plyMm: mm(),
      resinShare: z.number().gt(0).max(1).default(0.55),
    })
    .optional(),
  sheet: z
    .strictObject({ lengthMm: mm(), widthMm: mm(), marginMm: mm(), dropPitchMm: mm() })
    .optional(),
  /** The longest side of a damage it is meant for, mm. */
  mostMm: z.number().gt(0).max(1e6),
  applyMlPerMin: z.number().min(0.01).max(1e6),
  /** How thick it goes on where it is brushed or rolled as a thin film, wet, µm. */
  wetFilmUm: z.number().gt(0).max(5000).optional(),
  wastePct: z.number().min(0).max(100),
  flammable: z.boolean(),
  ventilate: z.boolean(),
  hazards: z.array(z.enum(HAZARDS)),
  ppe: z.array(typedText(200, 1)).max(40),
  mustNotTouch: z.array(typedText(200, 1)).max(40),
  /** Its own chemistry, and those that may not lie over it. */
  chemistry: z.enum(CHEMISTRIES).default('epoxy'),
  notUnder: z.array(z.enum(CHEMISTRIES)).default([]),
  /** What stands near and would be spoilt. */
  spoils: z.array(z.enum(NEARBY)),
  permission: z.enum(PERMISSIONS),
  /** Fit for a stop-gap only, whatever its figures. */
  stopgapOnly: z.boolean(),
  shelfLifeMonths: z.int().min(1).max(600),
  storage: typedText(400),
  openedPack: typedText(400),
  /** Expected life in days by duty: lasting with the full prep, stop-gap with the lesser one. */
  lifeDays: z.strictObject({ lasting: days(), stopgap: days() }),
});
export type SystemCard = z.infer<typeof SystemCard>;
/** A card as it is written: what has a usual value may be left out. */
export type SystemCardInput = z.input<typeof SystemCard>;

export const AID_USES = ['degreaser', 'release', 'wipe', 'etch'] as const;
export type AidUse = (typeof AID_USES)[number];
export const AID_NAMES: Record<AidUse, string> = {
  degreaser: 'Degreaser',
  release: 'Release agent',
  wipe: 'Last wipe',
  etch: 'Etch cleaner',
};

/** A help to the job that is no repair material: cleaner, release agent, wipe. */
export const AidCard = z.strictObject({
  role: z.literal('aid'),
  code: z.string().regex(/^A-\d{3}$/, 'A, a hyphen, three digits, such as A-905'),
  version: z.int().min(1).max(1e6),
  name: typedText(60, 1),
  summary: typedText(200),
  use: z.enum(AID_USES),
  example: z.boolean(),
  /** Why it is no longer used; left out while it is. Plans that were made with it keep it. */
  withdrawn: typedText(120, 3).optional(),
  /** Parents that it may not touch. */
  notOn: z.array(z.enum(SUBSTRATES)).default([]),
  flashOffMinutes: z.number().min(0).max(10_000),
  coverageM2L: z.number().min(0.001).max(1000),
  packs: z.array(Pack).min(1).max(40),
  flammable: z.boolean(),
  hazards: z.array(z.enum(HAZARDS)),
  ppe: z.array(typedText(200, 1)).max(40),
  mustNotTouch: z.array(typedText(200, 1)).max(40),
  spoils: z.array(z.enum(NEARBY)),
});
export type AidCard = z.infer<typeof AidCard>;
export type AidCardInput = z.input<typeof AidCard>;

export const Card = z.discriminatedUnion('role', [SystemCard, AidCard]);
export type Card = z.infer<typeof Card>;

/** Why a card is no longer used, without its full stop; null while it is. */
export const whyWithdrawn = ({ withdrawn }: Pick<Card, 'withdrawn'>): string | null =>
  withdrawn?.replace(/\.$/, '') ?? null;

/** Density of the material as it is placed, in g/ml. */
export const mixedDensity = ({ mix }: SystemCard): number => placedDensity(mix);

/** Stiff as concrete a mortar ties the two halves of a crack, MPa; a sealant gives by this share of its width, percent. */
const TIES_FROM_MPA = 10_000;
const GIVES_FROM_PCT = 20;

/** What a filled crack is to the two halves: tied by it, kept apart by something that gives, or just filled. */
export function fillKind({ service }: SystemCard): 'tied' | 'flexible' | 'rigid' {
  if ((service.modulusMPa ?? 0) >= TIES_FROM_MPA) return 'tied';
  return service.movementPct >= GIVES_FROM_PCT ? 'flexible' : 'rigid';
}
