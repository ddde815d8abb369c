import { Card } from '@kelmot/core';
import { asc, desc, eq } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { cards } from './plant';

/** The newest version of every card of a site, by code. */
export async function readCards(db: Db | Tx, siteId: string): Promise<Card[]> {
  const rows = await db
    .selectDistinctOn([cards.code], { body: cards.body })
    .from(cards)
    .where(eq(cards.siteId, siteId))
    .orderBy(asc(cards.code), desc(cards.version));
  return rows.map((r) => Card.parse(r.body));
}
