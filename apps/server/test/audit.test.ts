import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { cardFile } from '@kelmot/contract';
import { demoCards } from '@kelmot/demo';
import { drizzle } from 'drizzle-orm/node-postgres';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { readAuditChain } from '../src/db/auditChain';
import { command, openWorld, surveyAt, type Person, type World } from './harness';

let world: World;
let ida: Person;

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

interface Line {
  type: string;
  who: string | null;
  address: string | null;
  body: Record<string, unknown>;
}
const linesAfter = async (seq: number): Promise<Line[]> => {
  const { rows } = await world.database.pool.query<Line>(
    `select a.type, u.username as who, a.address, a.body from audit a left join users u on u.id = a.by
     where a.seq > $1 order by a.seq`,
    [seq],
  );
  return rows;
};
const length = async () => (await readAuditChain(world.database.db)).lines;

test('every action and every rejection is an audit line with person and address', async () => {
  const from = await length();
  const made = command(uuidv7(), {
    type: 'repair.create',
    survey: surveyAt(new Date().toISOString(), 'T-60'),
  });
  await ida.send(made);
  await ida.send(made);
  await ida.send(command(made.repairId, { type: 'station.move', expect: 1, station: 'cure' }));
  await ida.request('POST', '/api/cards', cardFile(demoCards.slice(0, 1)));
  const tomas = await world.person().signIn('tomas');
  await tomas.request('POST', '/api/cards', cardFile(demoCards.slice(0, 1)));
  await world
    .person()
    .request('POST', '/api/auth/sign-in/username', { username: 'ida', password: 'a guess' });
  const lines = await linesAfter(from);
  assert.deepEqual(
    lines.map(({ type, who, body }) => [type, who, body.title ?? null]),
    [
      ['repair.create', 'ida', null],
      ['refused', 'ida', 'Choose a system first'],
      ['refused', 'ida', 'Only a planner changes cards'],
      ['sign-in', 'tomas', null],
      ['cards.import', 'tomas', null],
      ['refused', null, 'Name or password is wrong'],
    ],
  );
  for (const line of lines) assert.equal(line.address, '127.0.0.1');
  assert.doesNotMatch(JSON.stringify(lines), /a guess|quillmere-demo/, 'no password is kept');
});

test('simultaneous audit lines are in order, and the chain is intact', async () => {
  const from = await length();
  const at = new Date().toISOString();
  const sent = Array.from({ length: 12 }, (_, i) =>
    ida.send(command(uuidv7(), { type: 'repair.create', survey: surveyAt(at, `T-${100 + i}`) })),
  );
  for (const { status } of await Promise.all(sent)) assert.equal(status, 200);
  const chain = await readAuditChain(world.database.db);
  assert.deepEqual([chain.lines, chain.brokenAt, chain.why], [from + 12, null, null]);
  assert.match(chain.last, /^[0-9a-f]{64}$/);
});

test('a writer cannot set number, time or hash of an audit line', async () => {
  const { pool } = world.database;
  await pool.query(
    `insert into audit (seq, at, hash, type, body) values (1, '2001-01-01', 'mine', 'forged', '{}')`,
  );
  const { rows } = await pool.query(
    `select seq, at > now() - interval '1 minute' as fresh, hash from audit where type = 'forged'`,
  );
  assert.equal(Number(rows[0].seq), await length());
  assert.equal(rows[0].fresh, true);
  assert.notEqual(rows[0].hash, 'mine');
  assert.equal((await readAuditChain(world.database.db)).brokenAt, null);
});

/** What only the owner could do, with the triggers disabled; undone afterwards. */
async function tampered(change: string): Promise<{ brokenAt: number | null; why: string | null }> {
  const owner = new Client({ connectionString: world.urls.ownerUrl });
  await owner.connect();
  try {
    await owner.query('begin');
    await owner.query('alter table audit disable trigger audit_append_only');
    await owner.query(change);
    return await readAuditChain(drizzle(owner));
  } finally {
    await owner.query('rollback');
    await owner.end();
  }
}

test('a changed, removed or moved audit line is detected by its number', async () => {
  const changed = await tampered(`update audit set body = '{"type": "other"}' where seq = 5`);
  assert.deepEqual([changed.brokenAt, changed.why], [5, 'changed']);
  const owned = await tampered(`update audit set by = null where seq = 7`);
  assert.deepEqual([owned.brokenAt, owned.why], [7, 'changed']);
  const gone = await tampered(`delete from audit where seq = 9`);
  assert.deepEqual([gone.brokenAt, gone.why], [10, 'gap']);
  const closed = await tampered(
    `delete from audit where seq = 3; update audit set seq = seq + 100000 where seq > 3; update audit set seq = seq - 100001 where seq > 100000`,
  );
  assert.deepEqual([closed.brokenAt, closed.why], [3, 'changed']);
});
