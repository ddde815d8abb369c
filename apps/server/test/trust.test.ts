import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Problem, ShelfLot, StockMove } from '@kelmot/contract';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { command, openWorld, surveyAt, type Person, type World } from './harness';

let world: World;
let ida: Person;
let tomas: Person;

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
  tomas = await world.person().signIn('tomas');
});
after(() => world.close());

async function as<T>(url: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

const ONCE = [
  'audit',
  'cards',
  'checks',
  'commands',
  'mix_marks',
  'mixes',
  'photos',
  'plans',
  'readings',
  'signoffs',
  'stock_moves',
];

for (const table of ONCE)
  test(`what is written into ${table} is not changed, emptied or deleted, by the application or by the owner`, async () => {
    const ways = [
      `delete from ${table}`,
      `truncate ${table} cascade`,
      `update ${table} set ${table === 'cards' ? 'code = code' : 'by = by'}`,
    ];
    const { rows } = await world.database.pool.query(`select count(*)::int as n from ${table}`);
    for (const way of ways)
      await assert.rejects(world.database.pool.query(way), /permission denied/, way);
    await as(world.urls.ownerUrl, async (owner) => {
      // A row trigger acts only where there is a row.
      const some = rows[0].n > 0 ? ways : ways.slice(1, 2);
      for (const way of some) await assert.rejects(owner.query(way), /is append-only/, way);
    });
    const again = await world.database.pool.query(`select count(*)::int as n from ${table}`);
    assert.equal(again.rows[0].n, rows[0].n);
  });

test('the application role owns nothing, is no superuser and disables no trigger', async () => {
  const { pool } = world.database;
  const { rows } = await pool.query(
    `select rolsuper or rolcreaterole or rolcreatedb or rolreplication or rolbypassrls as may,
       (select count(*)::int from pg_class where relowner = r.oid) as owned
     from pg_roles r where rolname = current_user`,
  );
  assert.deepEqual(rows, [{ may: false, owned: 0 }]);
  for (const way of [
    'alter table audit disable trigger all',
    'drop trigger audit_append_only on audit',
    "set session_replication_role = 'replica'",
    'create table mine (n int)',
    'set role kelmot_owner',
    'drop table audit',
  ])
    await assert.rejects(pool.query(way), /permission denied|must be owner/, way);
});

test('the cluster requires the password', async () => {
  const url = new URL(world.urls.appUrl);
  for (const password of ['', 'guess']) {
    url.password = password;
    await assert.rejects(
      as(url.href, () => Promise.resolve()),
      /password/,
    );
  }
});

test('a used id is answered again for the same content, and rejected for any other', async () => {
  const now = new Date().toISOString();
  const made = command(uuidv7(), { type: 'repair.create', survey: surveyAt(now, 'T-77') });
  assert.equal((await ida.send(made)).status, 200);
  // The same, with its fields in another order.
  const turned = Object.fromEntries(Object.entries(made).reverse()) as typeof made;
  assert.equal((await ida.send(turned)).status, 200);
  const others = [
    { ...made, survey: surveyAt(now, 'T-78') },
    { ...made, at: new Date(Date.parse(made.at) - 1000).toISOString() },
  ];
  for (const other of others) {
    const { status, body } = await ida.send<Problem>(other as never);
    assert.deepEqual([status, body.title], [409, 'This id was used for something else']);
  }
  assert.equal((await tomas.send(made)).status, 409, 'nor for the same by another person');
});

test('the same for a stock move; two at once are one', async () => {
  const [lot] = (await ida.get<ShelfLot[]>('/api/shelf')).body;
  if (!lot) throw new Error('the shelf is empty');
  const move: StockMove = {
    id: uuidv7(),
    at: new Date().toISOString(),
    cardCode: lot.cardCode,
    packId: lot.packId,
    lot: lot.lot,
    delta: -1,
    reason: 'drawn',
    repairId: null,
  };
  const send = (body: StockMove) => ida.request<ShelfLot[]>('POST', '/api/shelf/moves', body);
  const both = await Promise.all([send(move), send(move)]);
  for (const { status, body } of both) {
    assert.equal(status, 200);
    assert.equal(body.find((l) => l.id === lot.id)?.count ?? 0, lot.count - 1);
  }
  assert.equal((await send({ ...move, delta: -2 })).status, 409);
});

test('a used plan id is rejected, and nothing is written', async () => {
  const make = async (planId: string, tag: string) => {
    const repairId = uuidv7();
    const survey = surveyAt(new Date().toISOString(), tag);
    await ida.send(command(repairId, { type: 'repair.create', survey }));
    const asked = {
      type: 'plan.make',
      expect: 1,
      planId,
      cardCode: 'R-210',
      intent: 'lasting',
      schools: {},
      seconds: {},
    } as const;
    return { repairId, ...(await ida.send<Problem>(command(repairId, asked))) };
  };
  const planId = uuidv7();
  assert.equal((await make(planId, 'T-80')).status, 200);
  const second = await make(planId, 'T-81');
  assert.deepEqual([second.status, second.body.title], [409, 'This id is in use']);
  assert.equal((await ida.repair(second.repairId)).plan, null);
});

test('two endpoints of the auth library are open, and no session reaches a script', async () => {
  const before_ = (await ida.get<{ name: string }>('/api/me')).body.name;
  const closed: [string, string, object?][] = [
    ['POST', 'update-user', { name: 'Somebody else' }],
    ['POST', 'sign-up/email', { email: 'x@y.example', password: 'long enough', name: 'X' }],
    ['POST', 'sign-in/email', { email: 'ida@quillmere.example', password: 'quillmere-demo' }],
    ['POST', 'is-username-available', { username: 'ida' }],
    ['POST', 'change-email', { newEmail: 'x@y.example' }],
    ['GET', 'get-session'],
    ['GET', 'list-sessions'],
  ];
  for (const [method, door, body] of closed) {
    const { status } = await ida.request(method, `/api/auth/${door}`, body);
    assert.deepEqual([door, status], [door, 404]);
  }
  assert.equal((await ida.get<{ name: string }>('/api/me')).body.name, before_);
  const anyone = world.person();
  const signed = await anyone.request('POST', '/api/auth/sign-in/username', {
    username: 'vera',
    password: 'quillmere-demo',
  });
  assert.deepEqual(signed.body, { ok: true });
  const [cookie] = signed.headers.getSetCookie();
  assert.match(cookie ?? '', /HttpOnly/i);
  assert.match(cookie ?? '', /SameSite=Lax/i);
  // The answer does not reveal whether the name exists.
  const ask = (username: string) =>
    anyone.request<Problem>('POST', '/api/auth/sign-in/username', { username, password: 'wrong' });
  const [known, unknown] = [await ask('vera'), await ask('nobody-here')];
  assert.deepEqual([known.status, known.body.title], [unknown.status, unknown.body.title]);
});
