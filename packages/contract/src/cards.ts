import { Card } from '@kelmot/core';
import { z } from 'zod';

/** The open format of material cards: a file of it is exported, edited and imported again. */
export const CardFile = z.strictObject({
  format: z.literal('kelmot-cards'),
  version: z.literal(1),
  cards: z.array(Card).min(1).max(2000),
});
export type CardFile = z.infer<typeof CardFile>;

/** What an import did with each card: those that say nothing new are left as they are. */
export const CardOutcome = z.object({
  code: z.string(),
  version: z.int(),
  outcome: z.enum(['added', 'new-version', 'unchanged']),
});
export type CardOutcome = z.infer<typeof CardOutcome>;

/** Cards as a file of the open format. */
export const cardFile = (cards: Card[]): CardFile => ({
  format: 'kelmot-cards',
  version: 1,
  cards,
});
