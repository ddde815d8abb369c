import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool, type PoolConfig } from 'pg';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema> & { $client: Pool };
/** A transaction: everything a query needs, but it cannot open another transaction. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

export interface Database {
  db: Db;
  pool: Pool;
}

/** Time limits for a connection, a statement, a lock and an open transaction, ms. */
const LIMITS = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 15_000,
  lock_timeout: 8000,
  idle_in_transaction_session_timeout: 15_000,
} satisfies PoolConfig;

/**
 * The connection pool of the application. A lost connection fails its query and is dropped; it never ends the process.
 * `lost` is called with the error.
 */
export function openDatabase(url: string, lost: (error: Error) => void = () => {}): Database {
  const pool = new Pool({ connectionString: url, max: 10, keepAlive: true, ...LIMITS });
  pool.on('error', lost);
  // A connection that is lost while in use reports to its client, not to the pool.
  pool.on('connect', (client) => client.on('error', lost));
  return { db: drizzle(pool, { schema }), pool };
}
