import { t } from '../text/text';
import { z } from 'zod';
import { typedText } from '../calc/typed';
import { gateLimits } from '../ambient/ambientGate';
import { CurePoints } from '../cure/cureTime';
import { Laminate } from '../wrap/laminate';
import { MilestoneId } from './milestones';
import { Mix, placedDensity } from './mix';
import { PREP_GRADES, SUBSTRATES } from './substrates';
import { FORMS } from './form';
import { CHEMISTRIES, HAZARDS } from './hazards';
import { APPROVALS, DAMP, MEDIA, NEARBY, PERMISSIONS, PURPOSES, SLOPES, STRAINS } from './words';

const mm = () => z.number().min(0.001).max(10_000);
const celsius = () => z.number().min(-60).max(400);
const micron = () => z.number().gt(0).max(5000);
const minutes = () => z.number().gt(0).max(100_000);
const days = () => z.number().min(0.01).max(36_500);
/** More coats are not a repair of this kind. */
export const MOST_COATS = 40;
const mega = () => z.number().min(0.001).max(1e7);
/** 0 none, 1 poor, 2 fair, 3 good, 4 very good. */
const rating = () => z.int().min(0).max(4);

/** The unit of a pack: millilitres placed, metres of wrap, or pieces of sheet. */
export const PACK_UNITS = ['ml', 'm', 'piece'] as const;

export const Pack = z.strictObject({
  id: typedText(80, 1),
  label: typedText(80, 1),
  size: z.number().min(0.01).max(1e7),
  /** Width of the wrap, if it differs between packs, mm. */
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
  /** Kinds of loading it is made for, besides its figures. */
  strains: z.array(z.enum(STRAINS)).default([]),
  flex: rating(),
  /** Movement that a filled gap tolerates, percent of its width. */
  movementPct: z.number().min(0).max(200),
  /** Pressure it may hold, bar; 0: none. A laminate’s pressure is calculated, not stated. */
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

/** A repair material as its data sheet states it: everything that rules and plans need. */
export const SystemCard = z.strictObject({
  role: z.literal('system'),
  code: z.string().regex(/^[A-Z]-\d{3}$/, t('one letter, a hyphen, three digits, such as R-210')),
  version: z.int().min(1).max(1e6),
  name: typedText(60, 1),
  summary: typedText(200),
  /** Families it repairs by itself; empty if it only supports another card. */
  families: z.array(typedText(8, 1)).max(100),
  /** Its purposes beside another system: plugs a hole under a wrap, seals ports, seals a floor. */
  helps: z.array(z.enum(PURPOSES)).default([]),
  example: z.boolean(),
  /** Why it is withdrawn; absent while it is in use. Plans that were made with it keep it. */
  withdrawn: typedText(120, 3).optional(),
  mix: Mix,
  /** How it is handled; absent: the usual form of its mix. */
  form: z.enum(FORMS).optional(),
  packUnit: z.enum(PACK_UNITS),
  packs: z.array(Pack).min(1).max(40),
  cure: z.strictObject({
    refMassG: z.number().min(1).max(1e6),
    massExponent: z.number().min(0).max(1),
    milestones: z.partialRecord(MilestoneId, CurePoints),
  }),
  ambient: z.strictObject(gateLimits),
  damp: z.enum(DAMP),
  /** Its approvals, with their certificates. */
  approvals: z
    .array(z.strictObject({ for: z.enum(APPROVALS), certificate: typedText(80, 1) }))
    .default([]),
  substrates: z.array(PrepFor).min(1).max(60),
  service: Service,
  postCure: z
    .strictObject({ tempC: celsius(), minutes: minutes(), withoutC: celsius() })
    .optional(),
  layer: Layer,
  /** Widths of crack that it flows into and stays in, mm. */
  crackMm: z.strictObject({ min: z.number().min(0), max: mm() }).optional(),
  laminate: Laminate.optional(),
  /** How it is injected: port spacing by wall, paste round the ports, time at each by crack width. */
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
  /** Wrap or sheet as delivered, mm. */
  /** `resinShare`: resin in a hand-laid laminate, as a share of its volume. */
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
  /** The longest damage that it is meant for, mm. */
  mostMm: z.number().gt(0).max(1e6),
  applyMlPerMin: z.number().min(0.01).max(1e6),
  /** Wet film thickness when brushed or rolled, µm. */
  wetFilmUm: z.number().gt(0).max(5000).optional(),
  wastePct: z.number().min(0).max(100),
  flammable: z.boolean(),
  ventilate: z.boolean(),
  hazards: z.array(z.enum(HAZARDS)),
  ppe: z.array(typedText(200, 1)).max(40),
  mustNotTouch: z.array(typedText(200, 1)).max(40),
  /** Its chemistry, and the chemistries that must not lie over it. */
  chemistry: z.enum(CHEMISTRIES).default('epoxy'),
  notUnder: z.array(z.enum(CHEMISTRIES)).default([]),
  /** Things nearby that it would damage. */
  spoils: z.array(z.enum(NEARBY)),
  permission: z.enum(PERMISSIONS),
  /** For stop-gaps only, whatever its figures. */
  stopgapOnly: z.boolean(),
  shelfLifeMonths: z.int().min(1).max(600),
  storage: typedText(400),
  openedPack: typedText(400),
  /** Expected life in days by intent: lasting with full preparation, stop-gap with less. */
  lifeDays: z.strictObject({ lasting: days(), stopgap: days() }),
});
export type SystemCard = z.infer<typeof SystemCard>;
/** A card as it is written: values with a default may be absent. */
export type SystemCardInput = z.input<typeof SystemCard>;

export const AID_USES = ['degreaser', 'release', 'wipe', 'etch'] as const;
export type AidUse = (typeof AID_USES)[number];
export const AID_NAMES: Record<AidUse, string> = {
  degreaser: t('Degreaser'),
  release: t('Release agent'),
  wipe: t('Last wipe'),
  etch: t('Etch cleaner'),
};

/** An aid that is no repair material: cleaner, release agent, wipe. */
export const AidCard = z.strictObject({
  role: z.literal('aid'),
  code: z.string().regex(/^A-\d{3}$/, t('A, a hyphen, three digits, such as A-905')),
  version: z.int().min(1).max(1e6),
  name: typedText(60, 1),
  summary: typedText(200),
  use: z.enum(AID_USES),
  example: z.boolean(),
  /** Why it is withdrawn; absent while it is in use. Plans that were made with it keep it. */
  withdrawn: typedText(120, 3).optional(),
  /** Substrates that it must not touch. */
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

/** Why a card is withdrawn, without a full stop; null while it is in use. */
export const whyWithdrawn = ({ withdrawn }: Pick<Card, 'withdrawn'>): string | null =>
  withdrawn?.replace(/\.$/, '') ?? null;

/** Density of the placed material, in g/ml. */
export const mixedDensity = ({ mix }: SystemCard): number => placedDensity(mix);

/**
 * A mortar of this stiffness, MPa, connects both sides of a crack rigidly; a sealant moves by at least this share of
 * its width, percent.
 */
const TIES_FROM_MPA = 10_000;
const GIVES_FROM_PCT = 20;

/** The effect of a filler on both sides of a crack: connects them rigidly, seals flexibly, or only fills. */
export function fillKind({ service }: SystemCard): 'tied' | 'flexible' | 'rigid' {
  if ((service.modulusMPa ?? 0) >= TIES_FROM_MPA) return 'tied';
  return service.movementPct >= GIVES_FROM_PCT ? 'flexible' : 'rigid';
}
