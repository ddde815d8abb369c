import { z } from 'zod';
import { Id, Instant } from './ids';

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

/** One line of the shelf’s ledger. `id` is made by the client: sent twice it counts once. */
export const StockMove = z.strictObject({
  id: Id,
  at: Instant,
  cardCode: z.string().max(12),
  packId: z.string().max(80),
  lot: z.string().trim().min(1).max(60),
  /** Needed for a lot that is new. */
  expiresOn: z.iso.date().optional(),
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
