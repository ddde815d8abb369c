import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { Client } from 'pg';
import { openDatabase } from '../src/db/client';
import { durably } from '../src/db/durably';

const PG = fileURLToPath(new URL('../../../bin/lib/pg.sh', import.meta.url));

/** Starts a cluster in a folder; returns its address for the application. */
const start = (folder: string, env: Record<string, string> = {}): string =>
  execFileSync(PG, ['start', folder], { encoding: 'utf8', env: { ...process.env, ...env } }).trim();
const ownerOf = (folder: string): string =>
  execFileSync(PG, ['owner-url', folder], { encoding: 'utf8' }).trim();

/** Starts a cluster in a folder, runs a query, and stops it. */
async function tried(folder: string): Promise<number> {
  const url = start(folder, { PG_FAST: '1' });
  const client = new Client({ connectionString: url });
  try {
    await client.connect();
    const { rows } = await client.query<{ n: number }>('select 1 as n');
    return rows[0]?.n ?? 0;
  } finally {
    await client.end();
    execFileSync(PG, ['stop', folder]);
  }
}

test('a cluster starts in a new folder, and where its parent was closed to others', async () => {
  const above = mkdtempSync(join(tmpdir(), 'kelmot-own-'));
  chmodSync(above, 0o755);
  try {
    assert.equal(await tried(join(above, 'not/there/yet')), 1);
    mkdirSync(join(above, 'closed'), { mode: 0o700 });
    assert.equal(await tried(join(above, 'closed/cluster')), 1);
  } finally {
    rmSync(above, { recursive: true, force: true });
  }
});

test('what was acknowledged survives a kill of the database in the next moment', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kelmot-killed-'));
  // As in production: every commit waits for the disk.
  const durable = { PG_FAST: '' };
  try {
    for (const round of [1, 2, 3]) {
      start(folder, durable);
      const { db, pool } = openDatabase(ownerOf(folder));
      await pool.query('create table if not exists kept (n integer)');
      const add = (n: number) =>
        durably(db, (tx) => tx.execute(sql`insert into kept values (${n})`));
      await Promise.all([add(round), add(round), add(round)]);
      process.kill(
        Number(readFileSync(join(folder, 'data/postmaster.pid'), 'utf8').split('\n')[0]),
        'SIGQUIT',
      );
      await pool.end();
      start(folder, durable);
      const again = openDatabase(ownerOf(folder));
      const { rows } = await again.pool.query('select n from kept order by n');
      await again.pool.end();
      assert.equal(rows.length, 3 * round);
    }
  } finally {
    execFileSync(PG, ['stop', folder]);
    rmSync(folder, { recursive: true, force: true });
  }
});
