import { t } from '@kelmot/core';
import type { Me, ShelfLot, StockMove } from '@kelmot/contract';
import { and, eq, sql } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { readCards } from '../db/cardQueries';
import { repairs } from '../db/repairs';
import { lots, stockMoves } from '../db/shelf';
import { durably } from '../db/durably';
import { readShelf } from '../db/shelfQueries';
import { notFound, ProblemError } from '../common/problemError';
import { uuidv7 } from '../common/ids';
import { writeAudit, auditRejections, type Actor } from './auditLines';
import { digestOf, isRepeat, lockById } from './idempotency';

const wrong = (path: string, message: string) =>
  new ProblemError(422, t('Input out of range'), { issues: [{ path, message }] });

/** Writes one move into the stock ledger and returns the shelf. Never takes more than is there. */
export async function moveStock(
  db: Db,
  me: Me,
  { move, address }: { move: StockMove; address: string | null },
): Promise<ShelfLot[]> {
  const doer = { by: me.id, address };
  const line = { body: { type: 'stock.move', move } };
  await auditRejections(db, doer, { line, work: () => moved(db, me, { move, doer }) });
  return readShelf(db, me.siteId);
}

/** A pack is drawn for a repair of the same site, or for none. */
async function refuseElsewhere(tx: Tx, me: Me, repairId: string): Promise<void> {
  const [found] = await tx
    .select({ id: repairs.id })
    .from(repairs)
    .where(and(eq(repairs.id, repairId), eq(repairs.siteId, me.siteId)));
  if (!found) throw wrong('repairId', t('is no repair here; choose one of this site, or none'));
}

async function moved(
  db: Db,
  me: Me,
  { move, doer }: { move: StockMove; doer: Actor },
): Promise<void> {
  if (me.role === 'viewer')
    throw new ProblemError(403, t('Viewers cannot change the shelf'), {
      detail: t('Ask a technician or a planner.'),
    });
  await durably(db, async (tx) => {
    await lockById(tx, move.id);
    const [known] = await tx.select().from(stockMoves).where(eq(stockMoves.id, move.id));
    if (isRepeat(known, me, move)) return;
    const card = (await readCards(tx, me.siteId)).find((c) => c.code === move.cardCode);
    if (!card?.packs.some((p) => p.id === move.packId))
      throw wrong(
        'packId',
        t('no such pack of {cardCode}; use one of its card', { cardCode: move.cardCode }),
      );
    if (move.delta === 0) throw wrong('delta', t('must be packs in or out, not 0'));
    if (move.repairId !== null) await refuseElsewhere(tx, me, move.repairId);
    const same = and(
      eq(lots.siteId, me.siteId),
      eq(lots.packId, move.packId),
      eq(lots.lot, move.lot),
    );
    let [lot] = await tx.select().from(lots).where(same).for('update');
    if (!lot) {
      if (!move.expiresOn) throw wrong('expiresOn', t('a new lot needs its last day, YYYY-MM-DD'));
      const { cardCode, packId, expiresOn } = move;
      await tx
        .insert(lots)
        .values({ id: uuidv7(), siteId: me.siteId, cardCode, packId, lot: move.lot, expiresOn })
        .onConflictDoNothing();
      [lot] = await tx.select().from(lots).where(same).for('update');
    }
    if (!lot) throw notFound('lot');
    const [left] = await tx
      .select({ n: sql<number>`coalesce(sum(${stockMoves.delta}), 0)`.mapWith(Number) })
      .from(stockMoves)
      .where(eq(stockMoves.lotId, lot.id));
    if ((left?.n ?? 0) + move.delta < 0)
      throw wrong(
        'delta',
        t('only {n} of lot {lot} are on the shelf', { n: left?.n ?? 0, lot: move.lot }),
      );
    const { id, delta, reason, repairId, at } = move;
    await tx.insert(stockMoves).values({
      id,
      lotId: lot.id,
      delta,
      reason,
      repairId,
      at,
      by: me.id,
      digest: digestOf(move),
    });
    await writeAudit(tx, doer, { type: 'stock.move', body: move, repairId: repairId ?? undefined });
  });
}
