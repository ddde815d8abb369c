import { QUANTITY_IDS } from '@kelmot/core';
import { z } from 'zod';
import { Id } from './ids';

/** What one repair leaves over that would do another open one whole, the best use first. */
export const LeftoverOffer = z.strictObject({
  repairId: Id,
  tag: z.string(),
  title: z.string(),
  code: z.string(),
  /** Mixed in the last batch, or still in an opened pack. */
  from: z.enum(['batch', 'pack']),
  left: z.number(),
  takes: z.number(),
  quantity: z.enum(QUANTITY_IDS),
  /** Minutes from the mix in which it may be used; null from the pack. */
  withinMin: z.number().nullable(),
});
export type LeftoverOffer = z.infer<typeof LeftoverOffer>;
