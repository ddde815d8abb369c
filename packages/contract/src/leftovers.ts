import { QUANTITY_IDS } from '@kelmot/core';
import { z } from 'zod';
import { Id } from './ids';

/** A leftover of one repair that could do another open one completely, best use first. */
export const LeftoverOffer = z.strictObject({
  repairId: Id,
  tag: z.string(),
  title: z.string(),
  code: z.string(),
  /** Mixed in the last batch, or in an opened pack. */
  from: z.enum(['batch', 'pack']),
  left: z.number(),
  takes: z.number(),
  quantity: z.enum(QUANTITY_IDS),
  /** Minutes from mixing in which it may be used; null for a pack. */
  withinMin: z.number().nullable(),
});
export type LeftoverOffer = z.infer<typeof LeftoverOffer>;
