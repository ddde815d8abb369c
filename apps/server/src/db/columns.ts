import { sql, type SQL } from 'drizzle-orm';
import { customType, numeric, timestamp, type PgColumn } from 'drizzle-orm/pg-core';

/** Quantities and money are numeric in the database and plain numbers in code. */
export const amount = (name: string) => numeric(name, { mode: 'number' });

/** A timestamp with time zone, as ISO text in code. */
export const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

/** Raw bytes, for pictures. */
export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/**
 * Whether a column is one of some ids, as one array parameter: the statement's text does not depend on their number.
 */
export const isOneOf = (column: PgColumn, ids: string[]): SQL =>
  sql`${column} = any(${sql.param(ids)}::uuid[])`;
