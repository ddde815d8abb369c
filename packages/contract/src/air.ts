import { z } from 'zod';

/** The last known air and surface at a place: a survey begins with them until somebody measures. */
export const KnownAir = z.strictObject({
  airC: z.number(),
  rhPct: z.number(),
  surfaceC: z.number(),
  at: z.iso.datetime(),
  /** A reading at that place, or the weather service, which gives only the air: the surface counts as equally warm. */
  from: z.enum(['reading', 'weather']),
  /** The asset where it was read, or the name of the service. */
  source: z.string(),
});
export type KnownAir = z.infer<typeof KnownAir>;
