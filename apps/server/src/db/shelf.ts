import {
  check,
  date,
  index,
  integer,
  pgEnum,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { sql } from 'drizzle-orm';
import { moment } from './columns';
import { users } from './people';
import { sites } from './plant';
import { repairs } from './repairs';

/** Packs of one lot of one card. The number left is not stored: it is the sum of its stock moves. */
export const lots = pgTable(
  'lots',
  {
    id: uuid('id').primaryKey(),
    siteId: uuid('site_id')
      .notNull()
      .references(() => sites.id),
    cardCode: text('card_code').notNull(),
    packId: text('pack_id').notNull(),
    lot: text('lot').notNull(),
    expiresOn: date('expires_on').notNull(),
  },
  (t) => [unique('lots_lot').on(t.siteId, t.packId, t.lot), index('lots_card').on(t.cardCode)],
);

export const stockReason = pgEnum('stock_reason', ['received', 'drawn', 'counted', 'binned']);

/** The stock ledger: whole packs in and out, person, time, and repair. */
export const stockMoves = pgTable(
  'stock_moves',
  {
    id: uuid('id').primaryKey(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    delta: integer('delta').notNull(),
    reason: stockReason('reason').notNull(),
    /** Hash of its content: the same id with other content is another move. Null for rows older than this column. */
    digest: text('digest'),
    repairId: uuid('repair_id').references(() => repairs.id),
    at: moment('at').notNull(),
    by: text('by')
      .notNull()
      .references(() => users.id),
  },
  (t) => [index('stock_moves_lot').on(t.lotId), check('stock_moves_delta', sql`${t.delta} <> 0`)],
);
