import { customType, numeric, timestamp } from 'drizzle-orm/pg-core';

/** Quantities and money are numeric in the database and plain numbers in code. */
export const amount = (name: string) => numeric(name, { mode: 'number' });

/** A moment, with its zone, as ISO text in code. */
export const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

/** Bytes as they are, for pictures. */
export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
