import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Problem } from '@kelmot/contract';
import { openWorld, type Person, type World } from './harness';

const PUBLIC = 'https://kelmot.quillmere.example';

let world: World;

before(async () => {
  world = await openWorld({ publicUrl: PUBLIC, proxies: 1, signInsPerMinute: 4 });
});
after(() => world.close());

const signIn = (person: Person, from: string, username: string, password = 'quillmere-demo') =>
  person.request<Problem>(
    'POST',
    '/api/auth/sign-in/username',
    { username, password },
    { origin: PUBLIC, 'x-forwarded-for': from },
  );

test('behind TLS the cookie is secure, and browsers are told to stay with TLS', async () => {
  const { status, headers } = await signIn(world.person(), '192.0.2.1', 'vera');
  assert.equal(status, 200);
  const [cookie] = headers.getSetCookie();
  assert.match(cookie ?? '', /^__Secure-kelmot/);
  assert.match(cookie ?? '', /; Secure/);
  assert.match(headers.get('strict-transport-security') ?? '', /max-age=\d{7,}/);
  const plain = await openWorld();
  const own = await plain.person().get('/healthz');
  assert.equal(own.headers.get('strict-transport-security'), null, 'nor where there is no TLS');
  await plain.close();
});

test('a write must come from the public address', async () => {
  const vera = world.person();
  await signIn(vera, '192.0.2.2', 'vera');
  const write = (origin: string) => vera.request('POST', '/api/commands', {}, { origin });
  assert.equal((await write(PUBLIC)).status, 422, 'looked at');
  for (const origin of ['http://kelmot.test', 'https://elsewhere.example', 'null'])
    assert.equal((await write(origin)).status, 403, origin);
});

test('tries are counted by the address that our proxy saw, whatever the caller claims', async () => {
  const tries = async (from: (i: number) => string) => {
    const statuses: number[] = [];
    for (let i = 0; i < 6; i += 1)
      statuses.push((await signIn(world.person(), from(i), `x${i}-${from(0)}`, 'wrong')).status);
    return statuses;
  };
  assert.ok((await tries((i) => `198.51.100.${i}, 192.0.2.9`)).includes(429));
  assert.ok(!(await tries((i) => `192.0.2.9, 198.51.100.${i}`)).includes(429));
});

test('tries are also counted by name, from all addresses', async () => {
  const statuses: number[] = [];
  for (let i = 0; i < 12; i += 1)
    statuses.push((await signIn(world.person(), `203.0.113.${i}`, 'Tomas', 'wrong')).status);
  assert.deepEqual(statuses, [...Array<number>(10).fill(401), 429, 429]);
  // The correct password must wait too; another name need not.
  assert.equal((await signIn(world.person(), '203.0.113.99', 'tomas')).status, 429);
  assert.equal((await signIn(world.person(), '203.0.113.99', 'ida')).status, 200);
  const { rows } = await world.database.pool.query<{ address: string; n: number }>(
    `select count(*)::int as n from audit where type = 'refused' and body->>'username' = 'tomas'`,
  );
  assert.equal(rows[0]?.n, 10, 'what is over the limit is not written');
});
