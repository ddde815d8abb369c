import { fileURLToPath } from 'node:url';
import { getTableName, sql, type Table } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Client } from 'pg';
import type { Db, Tx } from './client';
import { users } from './people';
import { cards, sites } from './plant';
import { audit } from './audit';
import { checks, commands, mixes, mixMarks, photos, plans, readings, signoffs } from './repairs';
import * as schema from './schema';
import { stockMoves } from './shelf';

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));
/** The advisory lock for preparing the database: a second server waits for the first. */
const PREPARING = 4_207_311;

/** Append-only tables: the application may insert and read, nothing else. */
const APPEND_ONLY: readonly Table[] = [
  audit,
  cards,
  checks,
  commands,
  mixes,
  mixMarks,
  photos,
  plans,
  readings,
  signoffs,
  stockMoves,
];

/** Tables that only the owner changes (the site's administrator); the application may read them. */
const OWNERS: readonly Table[] = [sites, users];

/** Grants the application role its rights; repeated at each start, so that new tables are included. */
async function grant(db: Db, role: string): Promise<void> {
  const to = sql.identifier(role);
  await db.execute(sql`grant usage on schema public to ${to}`);
  await db.execute(
    sql`grant select, insert, update, delete on all tables in schema public to ${to}`,
  );
  await db.execute(sql`grant usage, select on all sequences in schema public to ${to}`);
  for (const table of APPEND_ONLY)
    await db.execute(
      sql`revoke update, delete, truncate, references, trigger on ${sql.identifier(getTableName(table))} from ${to}`,
    );
  for (const table of OWNERS)
    await db.execute(
      sql`revoke insert, update, delete, truncate, references, trigger on ${sql.identifier(getTableName(table))} from ${to}`,
    );
}

/** How to prepare a database: as its owner, for the application role, with seed data if it is empty. */
export interface Preparing {
  ownerUrl: string;
  appUrl: string;
  /** Runs in one transaction: all or nothing. */
  seed?: (tx: Tx) => Promise<void>;
}

const userOf = (url: string): string => decodeURIComponent(new URL(url).username);

/** Migrates, seeds and grants rights, one server at a time. Throws if the database cannot be reached. */
export async function prepareDatabase({ ownerUrl, appUrl, seed }: Preparing): Promise<void> {
  const client = new Client({ connectionString: ownerUrl, connectionTimeoutMillis: 10_000 });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [PREPARING]);
    const db: Db = drizzle(client, { schema }) as never;
    await migrate(db, { migrationsFolder: MIGRATIONS });
    if (userOf(appUrl) !== userOf(ownerUrl)) await grant(db, userOf(appUrl));
    if (seed) await db.transaction(seed);
  } finally {
    // Closing the connection releases the lock.
    await client.end();
  }
}
