import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test } from 'node:test';
import { fileURLToPath } from 'node:url';
import { Client } from 'pg';

const PG = fileURLToPath(new URL('../../../bin/lib/pg.sh', import.meta.url));

/** Starts a cluster in a folder, asks it something, and stops it. */
async function tried(folder: string): Promise<number> {
  const url = execFileSync(PG, ['start', folder], {
    encoding: 'utf8',
    env: { ...process.env, PG_FAST: '1' },
  }).trim();
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

test('a cluster of its own starts where no folder is yet, and where the one above was closed to others', async () => {
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
