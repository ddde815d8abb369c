import { sql } from 'drizzle-orm';
import { bigint, bigserial, index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { moment } from './columns';
import { users } from './people';

/**
 * The audit: what was done and rejected, by whom, from where. Never changed (enforced by a trigger and by the
 * application's rights). A trigger sets each line's number and hash: the hash covers the line and the hash of the line
 * before, so that a changed or missing line shows.
 */
export const audit = pgTable(
  'audit',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    /** Number in the chain: 1, 2, 3, without a gap. */
    seq: bigint('seq', { mode: 'number' }).notNull().default(0).unique(),
    at: moment('at').notNull().defaultNow(),
    /** Null for an unknown person, for example at a rejected sign-in. */
    by: text('by').references(() => users.id),
    address: text('address'),
    repairId: uuid('repair_id'),
    commandId: uuid('command_id'),
    type: text('type').notNull(),
    body: jsonb('body').notNull(),
    hash: text('hash').notNull().default(''),
  },
  (t) => [
    index('audit_repair').on(t.repairId, t.id),
    // For recently rejected sign-ins, by name.
    index('audit_refused_name')
      .on(sql`(${t.body}->>'username')`, t.at)
      .where(sql`${t.type} = 'refused'`),
  ],
);
