import { z } from 'zod';

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
  swingIndoorsC: z.number().min(0).max(40).default(2),
  swingOutdoorsC: z.number().min(0).max(40).default(8),
});
export type SiteSettings = z.infer<typeof SiteSettings>;
