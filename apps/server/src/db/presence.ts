import { index, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { users } from './people';
import { repairs } from './repairs';

/** Who has which repair open, by page; refreshed while open, then expires. */
export const presence = pgTable(
  'presence',
  {
    repairId: uuid('repair_id')
      .notNull()
      .references(() => repairs.id, { onDelete: 'cascade' }),
    tab: uuid('tab').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => users.id, { onDelete: 'cascade' }),
    stepId: text('step_id'),
    seenAt: timestamp('seen_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.repairId, t.tab] }), index('presence_seen').on(t.seenAt)],
);
