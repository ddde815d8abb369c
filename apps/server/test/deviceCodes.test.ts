import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import {
  guessableCode,
  MOST_WRONG_CODES,
  type DevicePerson,
  type Me,
  type Problem,
} from '@kelmot/contract';
import { changeOwnPassword } from '../src/services/people';
import { openWorld, type Person, type World } from './harness';

const PASSWORD = 'quillmere-demo';
const CODE = '4071';

let world: World;
before(async () => {
  world = await openWorld();
});
after(() => world.close());

const meOf = async (at: Person) => (await at.get<Me>('/api/me')).body;
const hereOf = async (at: Person) => (await at.get<DevicePerson[]>('/api/auth/here')).body;
const setCode = (at: Person, code = CODE, password = PASSWORD) =>
  at.request<Problem>('POST', '/api/me/code', { code, password });
const comeIn = (at: Person, personId: string, code = CODE) =>
  at.request<Problem>('POST', '/api/auth/sign-in/code', { personId, code });

/** A device with codes of Ida and Tomas, and Tomas signed in. */
async function shared(): Promise<{ device: Person; ida: Me; tomas: Me }> {
  const device = await world.person().signIn('ida');
  const ida = await meOf(device);
  assert.equal((await setCode(device)).status, 200);
  await device.signIn('tomas');
  const tomas = await meOf(device);
  assert.equal((await setCode(device, '9902')).status, 200);
  return { device, ida, tomas };
}

test('two people switch on a device by codes, and each is themselves', async () => {
  const { device, ida, tomas } = await shared();
  assert.deepEqual(
    (await hereOf(device)).map((p) => p.name),
    [ida.name, tomas.name],
  );
  assert.equal((await comeIn(device, ida.id)).status, 200);
  assert.equal((await meOf(device)).username, 'ida');
  assert.equal((await comeIn(device, tomas.id, '9902')).status, 200);
  assert.equal((await meOf(device)).username, 'tomas');
  // The library's sign-out works for a session that a code began.
  assert.equal((await device.request('POST', '/api/auth/sign-out', {})).status, 200);
  assert.equal((await device.get('/api/me')).status, 401);
  assert.equal((await comeIn(device, ida.id)).status, 200);
});

test('the previous session ends: its saved cookie is useless', async () => {
  const { device, ida, tomas } = await shared();
  const count = async (id: string) =>
    (await world.database.pool.query('select from sessions where user_id = $1', [id])).rowCount;
  const before = await count(tomas.id);
  await comeIn(device, ida.id);
  assert.equal(await count(tomas.id), (before ?? 0) - 1);
});

test('a code belongs to one device: another knows nobody, and accepts nobody', async () => {
  const { ida } = await shared();
  const other = world.person();
  assert.deepEqual(await hereOf(other), []);
  const { status, body } = await comeIn(other, ida.id);
  assert.deepEqual([status, body.title], [401, 'There is no code here any more']);
});

test('wrong codes are counted, a right one resets, and five in a row require the password', async () => {
  const { device, ida } = await shared();
  const wrong = async () => (await comeIn(device, ida.id, '1739')).body;
  for (let n = 1; n < MOST_WRONG_CODES; n += 1)
    assert.equal((await wrong()).detail, `Tries left: ${MOST_WRONG_CODES - n}.`);
  assert.equal((await comeIn(device, ida.id)).status, 200);
  for (let n = 1; n < MOST_WRONG_CODES; n += 1)
    assert.equal((await wrong()).title, 'This code is wrong');
  assert.equal((await wrong()).title, 'This code was wrong too often');
  assert.equal((await comeIn(device, ida.id)).status, 401);
  assert.ok(!(await hereOf(device)).some((p) => p.id === ida.id));
});

test('simultaneous tries are counted one by one', async () => {
  const { device, ida } = await shared();
  const tries = await Promise.all(Array.from({ length: 20 }, () => comeIn(device, ida.id, '1739')));
  assert.ok(tries.every((t) => t.status === 401));
  const looked = tries.filter((t) => t.body.title !== 'There is no code here any more');
  assert.equal(looked.length, MOST_WRONG_CODES);
  assert.equal((await comeIn(device, ida.id)).status, 401);
});

test('a code needs the password, and must not be easy to guess', async () => {
  const device = await world.person().signIn('ida');
  const refused = await setCode(device, CODE, 'not her password');
  assert.equal(refused.body.issues?.[0]?.path, 'password');
  for (const code of ['1111', '1234', '9876', '1987', '12', '123456789', 'four'])
    assert.equal((await setCode(device, code)).body.issues?.[0]?.path, 'code', code);
  assert.deepEqual(
    ['4071', '1357', '2100', '12344'].map((c) => guessableCode(c)),
    [null, null, null, null],
  );
  assert.equal((await world.person().request('POST', '/api/me/code', {})).status, 401);
});

test('the audit shows who signed in by code and who was rejected, but no code', async () => {
  const { device, ida } = await shared();
  await comeIn(device, ida.id, '1739');
  await comeIn(device, ida.id);
  const { rows } = await world.database.pool.query<{ type: string; by: string; body: object }>(
    "select type, by, body from audit where coalesce(body->>'username', body->>'codeOf') = 'ida' order by id desc limit 2",
  );
  assert.deepEqual(
    rows.map((r) => r.type),
    ['sign-in', 'refused'],
  );
  assert.equal(rows[0]?.by, ida.id);
  assert.ok(!JSON.stringify(rows).includes(CODE));
  const stored = await world.database.pool.query('select * from device_codes');
  assert.ok(!JSON.stringify(stored.rows).includes(`"${CODE}"`));
});

test('a changed password removes all codes; a code can be removed alone', async () => {
  const { device, ida, tomas } = await shared();
  await changeOwnPassword(world.database.db, tomas, {
    passwords: { current: PASSWORD, next: 'a long grey barge again' },
    here: { address: null, token: '' },
  });
  assert.equal((await comeIn(device, tomas.id, '9902')).status, 401);
  await comeIn(device, ida.id);
  assert.equal((await device.request('POST', '/api/me/code/drop', {})).status, 200);
  assert.deepEqual(await hereOf(device), []);
});
