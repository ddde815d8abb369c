import { MEDIA, SiteSettings, SUBSTRATES, WEAR } from '@kelmot/core';
import { z } from 'zod';
import { Id } from './ids';

/** An asset that is repaired. Its data fills in the survey. */
export const Asset = z.object({
  id: Id,
  tag: z.string(),
  name: z.string(),
  position: z.string(),
  kind: z.string(),
  material: z.enum(SUBSTRATES).nullable(),
  medium: z.enum(MEDIA).nullable(),
  mediumC: z.number().nullable(),
  ph: z.number().nullable(),
  wear: z.enum(WEAR).nullable(),
  costPerHour: z.number(),
});
export type Asset = z.infer<typeof Asset>;

export const Site = z.object({
  id: Id,
  settings: SiteSettings,
  /** Instruments besides those that a device reaches itself: a demo plant has simulated ones. */
  instruments: z.enum(['none', 'simulated']).default('none'),
});
export type Site = z.infer<typeof Site>;
