import { sql } from 'drizzle-orm';
import { bigint, bigserial, index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { moment } from './columns';
import { users } from './people';

/**
 * What was done and what was refused, by whom, from where. Nothing in it is changed (a trigger, and the rights of the
 * application). Its place and its hash are set by a trigger as it is written: the hash is over the line and the hash of
 * the line before, so that one that is changed or missing shows.
 */
export const audit = pgTable(
  'audit',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    /** Place in the chain, 1, 2, 3 without a gap. */
    seq: bigint('seq', { mode: 'number' }).notNull().default(0).unique(),
    at: moment('at').notNull().defaultNow(),
    /** Null: nobody who is known, such as a sign-in that was refused. */
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
    // Sign-ins that were refused lately, by name.
    index('audit_refused_name')
      .on(sql`(${t.body}->>'username')`, t.at)
      .where(sql`${t.type} = 'refused'`),
  ],
);
