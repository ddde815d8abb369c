import { MEDIA, SiteSettings, SUBSTRATES, WEAR } from '@kelmot/core';
import { z } from 'zod';
import { Id } from './ids';

/** Plant that is repaired. What it holds pre-fills the survey. */
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
  /** Which instruments can be read from besides those that a device reaches itself: a demo plant has simulated ones. */
  instruments: z.enum(['none', 'simulated']).default('none'),
});
export type Site = z.infer<typeof Site>;
