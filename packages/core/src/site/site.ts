import { z } from 'zod';
import { isZone } from '../units/zone';

/** How far a surface swings from night to day where a site has not said otherwise, °C. */
export const SWING_C = { indoors: 2, outdoors: 8 } as const;

/** Who signs a repair off: anybody, a second person where somebody must approve it, or always a second person. */
export const SECOND_SIGNS = ['never', 'approved', 'always'] as const;

/** What a site settles once for every job: pail, margins, money. */
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
  /** Depth of repair material over a sand bed, in a wide crack. */
  workingDepthMm: z.number().gt(0).max(500),
  labourPerHour: z.number().min(0),
  /** Kept free of whatever moves past a build, mm. */
  clearanceMarginMm: z.number().min(0).max(100).default(1.5),
  /** How far the surface may turn out from what was measured, and its swing from night to day, °C. */
  tempSdC: z.number().min(0).max(20).default(1.5),
  swingIndoorsC: z.number().min(0).max(40).default(SWING_C.indoors),
  swingOutdoorsC: z.number().min(0).max(40).default(SWING_C.outdoors),
  /** A gate reading older than this is taken again before anything is mixed, minutes. */
  gateMinutes: z.number().min(5).max(1440).default(120),
  /** Bare metal waits this long for its first coat before it is prepared again, minutes. */
  bareMinutes: z.number().min(15).max(2880).default(480),
  /** Most people at one repair. */
  crew: z.int().min(1).max(20).default(4),
  /** Until somebody who must allow it has decided, and what asking costs. */
  leaveMinutes: z.number().min(0).max(43_200).default(240),
  leaveCost: z.number().min(0).max(1e6).default(200),
  /** To see to a condition that no step of the plan does by itself, minutes. */
  termMinutes: z.number().min(0).max(1440).default(20),
  /** A heater and its power, an hour. */
  heaterPerHour: z.number().min(0).max(1000).default(6),
  /** Hours of the day in which people work, by the site’s clock; null: round the clock. */
  shift: z
    .strictObject({ fromMin: z.number().min(0).max(1440), toMin: z.number().min(0).max(1440) })
    .refine((s) => s.toMin > s.fromMin, { path: ['toMin'], message: 'must be after its start' })
    .nullable()
    .default(null),
  /** The site’s clock, by the name of its time zone. */
  zone: z
    .string()
    .max(60)
    .refine(isZone, 'is no time zone; use a name such as Europe/Paris, or UTC')
    .default('UTC'),
  /** Whether somebody signs who did not do the work: never, where somebody must approve it, or always. */
  secondSigns: z.enum(SECOND_SIGNS).default('never'),
  /** As plans said it before a zone had a name; it is not read. */
  zoneMin: z.int().optional(),
});
export type SiteSettings = z.infer<typeof SiteSettings>;
