import assert from 'node:assert/strict';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { demoCards } from '@kelmot/demo';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Client } from 'pg';
import { prepareDatabase } from '../src/db/prepare';
import { emptyDatabase, type TestDatabase } from './cluster';

/** The last migration of the version with one site and without times of receipt. */
const BEFORE = 12;
const SITE = '01936f00-0000-7000-8000-000000000001';
const REPAIR = '01936f00-0000-7000-8000-000000000002';
const PLAN = '01936f00-0000-7000-8000-000000000003';
const AT = '2026-03-20T08:00:00.000Z';

let urls: TestDatabase;
let owner: Client;

/** The tables of the earlier version. */
async function migrateTo(last: number): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'kelmot-before-'));
  cpSync(new URL('../drizzle', import.meta.url), folder, { recursive: true });
  const file = join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { idx: number }[] };
  journal.entries = journal.entries.filter((e) => e.idx <= last);
  writeFileSync(file, JSON.stringify(journal));
  await migrate(drizzle(owner), { migrationsFolder: folder });
  rmSync(folder, { recursive: true });
}

before(async () => {
  urls = await emptyDatabase('before');
  owner = new Client({ connectionString: urls.ownerUrl });
  await owner.connect();
  await migrateTo(BEFORE);
  const [card] = demoCards;
  if (!card) throw new Error('no card');
  const put = (table: string, row: Record<string, unknown>) => {
    const names = Object.keys(row);
    const places = names.map((_, i) => `$${i + 1}`).join(', ');
    const columns = names.map((n) => `"${n}"`).join(', ');
    return owner.query(`insert into ${table} (${columns}) values (${places})`, Object.values(row));
  };
  const usual = { vessel_ml: 750, vessel_fill: 0.75, use_fraction: 0.8, overfill_pct: 10 };
  const money = { machining_mm: 1, extent_mm: 25, labour_per_hour: 48, currency: '€' };
  await put('sites', { id: SITE, name: 'Only Works', ...usual, ...money });
  await put('users', { id: 'u', name: 'U', email: 'u@x.example', username: 'u', role: 'planner' });
  await put('cards', { code: card.code, version: 1, role: card.role, body: card });
  await put('repairs', {
    ...{ id: REPAIR, site_id: SITE, family: 'F2', tag: 'P-1', asset_name: 'Lime Pump' },
    ...{ position: 'Bay', title: 'worn', intent: 'lasting', station: 'prep', survey: {} },
    ...{ plan_id: PLAN, back_by: AT, created_by: 'u', created_at: AT, updated_at: AT },
  });
  await put('plans', {
    ...{ id: PLAN, repair_id: REPAIR, number: 1, card_code: card.code, card_version: 1 },
    ...{ core: '0', body: {}, gist: {}, made_at: AT, by: 'u' },
  });
  const of = { id: SITE, repair_id: REPAIR, plan_id: PLAN, by: 'u' };
  await put('checks', { ...of, step_id: 'isolate', done: true, note: '', at: AT });
  await put('mixes', { ...of, batch_no: 1, in_tolerance: true, lot: 'L', started_at: AT });
  await put('mix_marks', { id: SITE, mix_id: SITE, end: 'placed', at: AT, by: 'u' });
  await put('signoffs', { ...of, verdict: 'redo', statement: 'Soft.', name: 'U', at: AT });
  await put('readings', { ...of, step_id: 'g', values: {}, passed: true, say: {}, taken_at: AT });
  const data = Buffer.alloc(20);
  await put('photos', { ...of, step_id: 'g', mime: 'image/png', data, taken_at: AT });
  await prepareDatabase(urls);
});
after(() => owner.end());

test('data of the earlier version belongs to its only site', async () => {
  for (const table of ['users', 'cards', 'plans']) {
    const { rows } = await owner.query(`select site_id from ${table}`);
    assert.deepEqual(rows, [{ site_id: SITE }], table);
  }
  const { rows } = await owner.query(
    'select search, (select zone from sites) as zone from repairs',
  );
  assert.deepEqual(rows, [{ search: 'p-1 lime pump worn bay', zone: 'UTC' }]);
});

test("records of the earlier version were received at the device's time, and stay append-only", async () => {
  for (const table of ['checks', 'mixes', 'mix_marks', 'signoffs', 'readings', 'photos']) {
    const { rows } = await owner.query<{ received_at: Date }>(`select received_at from ${table}`);
    assert.deepEqual(
      rows.map((r) => r.received_at.toISOString()),
      [AT],
      table,
    );
    await assert.rejects(owner.query(`delete from ${table}`), /append-only/, table);
  }
});
