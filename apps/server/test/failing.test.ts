import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { setTimeout } from 'node:timers/promises';
import type { Problem } from '@kelmot/contract';
import { demoUsers } from '@kelmot/demo';
import { seedDemo } from '@kelmot/demo-server/seedDemo';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { openDatabase } from '../src/db/client';
import { prepareDatabase } from '../src/db/prepare';
import { emptyDatabase } from './cluster';
import { command, openWorld, surveyAt, type Person, type World } from './harness';

let world: World;
let ida: Person;

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

const SEEDED = 'select count(*)::int as n from users';
const countIn = async (url: string, query: string): Promise<number> => {
  const { pool } = openDatabase(url);
  const { rows } = await pool.query<{ n: number }>(query);
  await pool.end();
  return rows[0]?.n ?? NaN;
};

test('two servers that start at once on an empty database both run, and it is seeded once', async () => {
  const urls = await emptyDatabase('twice');
  const start = () =>
    prepareDatabase({ ...urls, seed: async (tx) => void (await seedDemo(tx, Date.now())) });
  await Promise.all([start(), start()]);
  assert.equal(await countIn(urls.appUrl, SEEDED), demoUsers.length);
  assert.equal(await countIn(urls.appUrl, 'select count(distinct number)::int as n from plans'), 1);
});

test('a failed seeding leaves nothing, and the next start repeats it', async () => {
  const urls = await emptyDatabase('half');
  const half = prepareDatabase({
    ...urls,
    seed: async (tx) => {
      await seedDemo(tx, Date.now());
      throw new Error('the power went');
    },
  });
  await assert.rejects(half, /the power went/);
  assert.equal(await countIn(urls.appUrl, SEEDED), 0);
  await prepareDatabase({ ...urls, seed: async (tx) => void (await seedDemo(tx, Date.now())) });
  assert.equal(await countIn(urls.appUrl, SEEDED), demoUsers.length);
});

/** Runs a function as the database's owner on a second connection. */
async function beside<T>(work: (owner: Client) => Promise<T>): Promise<T> {
  const owner = new Client({ connectionString: world.urls.ownerUrl });
  await owner.connect();
  try {
    return await work(owner);
  } finally {
    await owner.end();
  }
}

const create = () =>
  command(uuidv7(), {
    type: 'repair.create',
    survey: surveyAt(new Date().toISOString(), 'T-90'),
  });

test('lost connections end neither the process nor the next request', async () => {
  // Idle connections, and one that is in use.
  const lent = await world.database.pool.connect();
  await Promise.all(Array.from({ length: 4 }, () => ida.get('/api/repairs')));
  await lent.query('begin');
  const cut = `select pg_terminate_backend(pid) from pg_stat_activity
    where datname = current_database() and pid <> pg_backend_pid() and usename = 'kelmot_app'`;
  await world.database.pool.query(cut).catch(() => undefined);
  await setTimeout(200);
  lent.release(true);
  const made = create();
  const sent = await ida.send<Problem>(made);
  // The pool noticed the loss, or it reports that nothing was written; sent again, it succeeds.
  assert.ok([200, 503].includes(sent.status), String(sent.status));
  assert.equal((await ida.send(made)).status, 200);
});

test('a lock held by another is awaited for a limited time, then reported, and nothing is written', async () => {
  const made = create();
  await ida.send(made);
  await beside(async (owner) => {
    await owner.query('begin');
    await owner.query('select 1 from repairs where id = $1 for update', [made.repairId]);
    const move = command(made.repairId, { type: 'station.move', expect: 1, station: 'survey' });
    const { status, body } = await ida.send<Problem>(move);
    assert.deepEqual([status, body.title], [503, 'The database is busy or away']);
    await owner.query('rollback');
    assert.equal((await ida.send(move)).status, 200);
  });
});

test('readiness answers within a second while every connection is in use', async () => {
  const taken = await Promise.all(Array.from({ length: 10 }, () => world.database.pool.connect()));
  const begun = performance.now();
  const { status } = await world.person().get('/readyz');
  assert.equal(status, 503);
  assert.ok(performance.now() - begun < 3000, 'well under the time to wait for a connection');
  for (const client of taken) client.release();
  assert.equal((await world.person().get('/readyz')).status, 200);
});
