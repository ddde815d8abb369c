import { t } from '../text/text';
import { z } from 'zod';
import { USUAL_SHARES } from '../mix/batchPlan';
import { isZone } from '../units/zone';
import { OwnTrade } from '../trade/trade';

/** Who signs a repair off: anybody, a second person where approval is needed, or always a second person. */
export const SECOND_SIGNS = ['never', 'approved', 'always'] as const;

/** What holds where a site states nothing else: written here once, read by the schema, the database and the demo. */
export const USUAL_SITE = {
  mortarVesselMl: 40_000,
  ...USUAL_SHARES,
  workingDepthMm: 40,
  clearanceMarginMm: 1.5,
  tempSdC: 1.5,
  swingIndoorsC: 2,
  swingOutdoorsC: 8,
  gateMinutes: 120,
  bareMinutes: 480,
  crew: 4,
  leaveMinutes: 240,
  leaveCost: 200,
  termMinutes: 20,
  heaterPerHour: 6,
  zone: 'UTC',
  secondSigns: 'never',
} as const;

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
  clearanceMarginMm: z.number().min(0).max(100).default(USUAL_SITE.clearanceMarginMm),
  /** Uncertainty of the surface temperature, and its swing from night to day, °C. */
  tempSdC: z.number().min(0).max(20).default(USUAL_SITE.tempSdC),
  swingIndoorsC: z.number().min(0).max(40).default(USUAL_SITE.swingIndoorsC),
  swingOutdoorsC: z.number().min(0).max(40).default(USUAL_SITE.swingOutdoorsC),
  /** A gate reading older than this is repeated before mixing, minutes. */
  gateMinutes: z.number().min(5).max(1440).default(USUAL_SITE.gateMinutes),
  /** Bare metal that waits longer for its first coat is prepared again, minutes. */
  bareMinutes: z.number().min(15).max(2880).default(USUAL_SITE.bareMinutes),
  /** Most people at one repair. */
  crew: z.int().min(1).max(20).default(USUAL_SITE.crew),
  /** Time until an approval is given, and its cost. */
  leaveMinutes: z.number().min(0).max(43_200).default(USUAL_SITE.leaveMinutes),
  leaveCost: z.number().min(0).max(1e6).default(USUAL_SITE.leaveCost),
  /** Time to meet a condition that no step of the plan meets, minutes. */
  termMinutes: z.number().min(0).max(1440).default(USUAL_SITE.termMinutes),
  /** A heater with its power, per hour. */
  heaterPerHour: z.number().min(0).max(1000).default(USUAL_SITE.heaterPerHour),
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
    .default(USUAL_SITE.zone),
  /** Whether a second person, who did not do the work, must sign: never, where approval is needed, or always. */
  secondSigns: z.enum(SECOND_SIGNS).default(USUAL_SITE.secondSigns),
  /** The site’s own figures of the trade, by id, in place of the usual ones. */
  trade: OwnTrade.optional(),
  /** From plans made before zones had names; not read. */
  zoneMin: z.int().optional(),
});
export type SiteSettings = z.infer<typeof SiteSettings>;
