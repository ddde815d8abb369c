import { fileURLToPath } from 'node:url';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Pool } from 'pg';
import * as schema from './schema';

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

export type Db = NodePgDatabase<typeof schema>;
/** The inside of a transaction: everything a query needs, and nothing that opens another. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

export interface Database {
  db: Db;
  pool: Pool;
  migrate: () => Promise<void>;
}

export function openDatabase(url: string): Database {
  const pool = new Pool({ connectionString: url, max: 10 });
  const db = drizzle(pool, { schema });
  return { db, pool, migrate: () => migrate(db, { migrationsFolder: MIGRATIONS }) };
}
