import type { Lot } from '@kelmot/core';
import { asc, eq, gt, sql, sum } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { lots, stockMoves } from './shelf';

/** Every lot of a site with packs left, first to expire first. What is left is the sum of the moves. */
export async function readShelf(db: Db | Tx, siteId: string): Promise<Lot[]> {
  const left = sum(stockMoves.delta).mapWith(Number);
  const rows = await db
    .select({ lot: lots, count: left })
    .from(lots)
    .innerJoin(stockMoves, eq(stockMoves.lotId, lots.id))
    .where(eq(lots.siteId, siteId))
    .groupBy(lots.id)
    .having(gt(sql`sum(${stockMoves.delta})`, 0))
    .orderBy(asc(lots.expiresOn), asc(lots.lot));
  return rows.map(({ lot: { siteId: _site, ...lot }, count }) => ({ ...lot, count }));
}
