import { Day, typedText } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';
import { MOST_LOT } from './records';

export const STOCK_REASONS = ['received', 'drawn', 'counted', 'binned'] as const;

/** Packs of one lot on the shelf. */
export const ShelfLot = z.object({
  id: Id,
  cardCode: z.string(),
  packId: z.string(),
  lot: z.string(),
  expiresOn: z.iso.date(),
  count: z.int(),
});
export type ShelfLot = z.infer<typeof ShelfLot>;

/** One line of the stock ledger. The client makes `id`: sent twice it counts once. */
export const StockMove = z.strictObject({
  id: Id,
  at: Instant,
  cardCode: typedText(12, 1),
  packId: typedText(80, 1),
  lot: typedText(MOST_LOT, 1),
  /** Required for a new lot. */
  expiresOn: Day.optional(),
  delta: z.int().min(-10_000).max(10_000),
  reason: z.enum(STOCK_REASONS),
  repairId: Id.nullable().default(null),
});
export type StockMove = z.infer<typeof StockMove>;

/** A forecast as the device keeps it. */
export const Forecast = z.object({
  source: z.string(),
  hours: z.array(
    z.object({ at: z.string(), airC: z.number(), rhPct: z.number(), rainMm: z.number() }),
  ),
});
export type Forecast = z.infer<typeof Forecast>;

/**
 * The shelf after queued moves: first to expire first, without empty lots. A move that takes more than is there will be
 * rejected, and changes nothing.
 */
export function shelfAfter(lots: readonly ShelfLot[], moves: readonly StockMove[]): ShelfLot[] {
  const after = lots.map((lot) => ({ ...lot }));
  for (const { id, cardCode, packId, lot, expiresOn, delta } of moves) {
    const known = after.find((l) => l.packId === packId && l.lot === lot);
    if (known) known.count += delta;
    else if (expiresOn) after.push({ id, cardCode, packId, lot, expiresOn, count: delta });
  }
  return after
    .filter((lot) => lot.count > 0)
    .sort((p, q) => p.expiresOn.localeCompare(q.expiresOn) || p.lot.localeCompare(q.lot));
}
