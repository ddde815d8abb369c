import { z } from 'zod';

/** Air and surface as they were last known at a place: what a survey begins with until somebody reads them himself. */
export const KnownAir = z.strictObject({
  airC: z.number(),
  rhPct: z.number(),
  surfaceC: z.number(),
  at: z.iso.datetime(),
  /** A reading that somebody took there, or the weather service, whose surface is taken as warm as its air. */
  from: z.enum(['reading', 'weather']),
  /** The plant it was read at, or the name of the service. */
  source: z.string(),
});
export type KnownAir = z.infer<typeof KnownAir>;
