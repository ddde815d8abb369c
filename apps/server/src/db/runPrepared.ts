import type { SQL } from 'drizzle-orm';
import { PgDialect } from 'drizzle-orm/pg-core';
import type { QueryResultRow } from 'pg';
import type { Db, Tx } from './client';

const dialect = new PgDialect();

/**
 * Runs a statement that each connection keeps prepared under its name; the same name must always have the same text.
 * Inside a transaction it runs unprepared.
 */
export async function runPrepared<T extends QueryResultRow>(
  db: Db | Tx,
  name: string,
  ask: SQL,
): Promise<T[]> {
  if (!('$client' in db)) return (await db.execute(ask)).rows as T[];
  const { sql: text, params } = dialect.sqlToQuery(ask);
  return (await db.$client.query<T>({ name, text, values: params })).rows;
}
