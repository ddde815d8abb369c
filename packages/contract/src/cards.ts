import { Card, shortened, families, isFamily, t } from '@kelmot/core';
import { z } from 'zod';

/** A card with known families: one that names another is rejected with the list. */
const KnownCard = Card.superRefine((card, ctx) => {
  if (card.role !== 'system') return;
  card.families.forEach((id, i) => {
    if (isFamily(id)) return;
    ctx.addIssue({
      code: 'custom',
      path: ['families', i],
      message: t('no family {id}; there are {families}', {
        id: shortened(id),
        families: families()
          .map((f) => f.id)
          .join(', '),
      }),
    });
  });
});

/** The open format of material cards: a file is exported, edited and imported again. */
export const CardFile = z.strictObject({
  format: z.literal('kelmot-cards'),
  version: z.literal(1),
  cards: z.array(KnownCard).min(1).max(2000),
});
export type CardFile = z.infer<typeof CardFile>;

const IMPORTED = ['added', 'new-version', 'unchanged'] as const;
/** The result of an import for each card: unchanged cards are skipped. */
export const CardOutcome = z.object({
  code: z.string(),
  version: z.int(),
  outcome: z.enum(IMPORTED),
});
export type CardOutcome = z.infer<typeof CardOutcome>;

/** Cards as a file of the open format. */
export const cardFile = (cards: Card[]): CardFile => ({
  format: 'kelmot-cards',
  version: 1,
  cards,
});
