import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool, type PoolConfig } from 'pg';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema> & { $client: Pool };
/** The inside of a transaction: everything a query needs, and nothing that opens another. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

export interface Database {
  db: Db;
  pool: Pool;
}

/** Nobody waits without end: for a connection, a statement, a lock that another holds, or a transaction left open. ms. */
const LIMITS = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 15_000,
  lock_timeout: 8000,
  idle_in_transaction_session_timeout: 15_000,
} satisfies PoolConfig;

/**
 * The pool that everything goes through. A connection that is lost ends the query that used it and is dropped; it never
 * ends the process. `lost` hears of it.
 */
export function openDatabase(url: string, lost: (error: Error) => void = () => {}): Database {
  const pool = new Pool({ connectionString: url, max: 10, keepAlive: true, ...LIMITS });
  pool.on('error', lost);
  // One that is lost while it is lent out tells its own client, not the pool.
  pool.on('connect', (client) => client.on('error', lost));
  return { db: drizzle(pool, { schema }), pool };
}
