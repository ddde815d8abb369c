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
/** Whoever prepares the database holds this lock; a second server waits for the first. */
const PREPARING = 4_207_311;

/** What is written once: the application may add to it and read it, and nothing more. */
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

/** What whoever runs the site sets, as the owner: the application may read it. Nobody names himself. */
const OWNERS: readonly Table[] = [sites, users];

/** The rights of the role that the application signs in as; said again at each start, so that a new table has them too. */
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

/** How to prepare a database: as its owner, for the role of the application, with what is put in where it is empty. */
export interface Preparing {
  ownerUrl: string;
  appUrl: string;
  /** Run in one transaction: all of it is there afterwards, or nothing. */
  seed?: (tx: Tx) => Promise<void>;
}

const userOf = (url: string): string => decodeURIComponent(new URL(url).username);

/** Migrates, seeds and says who may do what, one server at a time. Throws where the database cannot be reached. */
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
    // The lock goes with the connection.
    await client.end();
  }
}
