import { t } from '../text/text';
import { z } from 'zod';
import { isZone } from '../units/zone';
import { OwnTrade } from '../trade/trade';

/** Day-to-night swing of a surface if the site states none, °C. */
export const SWING_C = { indoors: 2, outdoors: 8 } as const;

/** Who signs a repair off: anybody, a second person where approval is needed, or always a second person. */
export const SECOND_SIGNS = ['never', 'approved', 'always'] as const;

/** A site's settings for all jobs: vessels, margins, money. */
export const SiteSettings = z.strictObject({
  name: z.string(),
  currency: z.string(),
  vesselMl: z.number().gt(0),
  /** Tub or drum for mortar and crumb. */
  mortarVesselMl: z.number().gt(0),
  vesselFill: z.number().gt(0).max(1),
  useFraction: z.number().gt(0).max(1),
  overfillPct: z.number().min(0).max(200),
  machiningMm: z.number().min(0).max(10),
  extentMm: z.number().gt(0).max(500),
  /** Depth of repair material over a sand bed in a wide crack. */
  workingDepthMm: z.number().gt(0).max(500),
  labourPerHour: z.number().min(0),
  /** Distance kept free of moving parts, mm. */
  clearanceMarginMm: z.number().min(0).max(100).default(1.5),
  /** Uncertainty of the surface temperature, and its swing from night to day, °C. */
  tempSdC: z.number().min(0).max(20).default(1.5),
  swingIndoorsC: z.number().min(0).max(40).default(SWING_C.indoors),
  swingOutdoorsC: z.number().min(0).max(40).default(SWING_C.outdoors),
  /** A gate reading older than this is repeated before mixing, minutes. */
  gateMinutes: z.number().min(5).max(1440).default(120),
  /** Bare metal that waits longer for its first coat is prepared again, minutes. */
  bareMinutes: z.number().min(15).max(2880).default(480),
  /** Most people at one repair. */
  crew: z.int().min(1).max(20).default(4),
  /** Time until an approval is given, and its cost. */
  leaveMinutes: z.number().min(0).max(43_200).default(240),
  leaveCost: z.number().min(0).max(1e6).default(200),
  /** Time to meet a condition that no step of the plan meets, minutes. */
  termMinutes: z.number().min(0).max(1440).default(20),
  /** A heater with its power, per hour. */
  heaterPerHour: z.number().min(0).max(1000).default(6),
  /** Working hours of the day, by the site’s clock; null: round the clock. */
  shift: z
    .strictObject({ fromMin: z.number().min(0).max(1440), toMin: z.number().min(0).max(1440) })
    .refine((s) => s.toMin > s.fromMin, { path: ['toMin'], message: t('must be after its start') })
    .nullable()
    .default(null),
  /** The site’s time zone by name. */
  zone: z
    .string()
    .max(60)
    .refine(isZone, t('is no time zone; use a name such as Europe/Paris, or UTC'))
    .default('UTC'),
  /** Whether a second person, who did not do the work, must sign: never, where approval is needed, or always. */
  secondSigns: z.enum(SECOND_SIGNS).default('never'),
  /** The site’s own figures of the trade, by id, in place of the usual ones. */
  trade: OwnTrade.optional(),
  /** From plans made before zones had names; not read. */
  zoneMin: z.int().optional(),
});
export type SiteSettings = z.infer<typeof SiteSettings>;
