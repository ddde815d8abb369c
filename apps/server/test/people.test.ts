import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Me, Problem } from '@kelmot/contract';
import type { Db } from '../src/db/client';
import { guessable } from '../src/services/passwords';
import {
  addPerson,
  changePerson,
  closePerson,
  listPeople,
  resetPassword,
} from '../src/services/people';
import { openWorld, type Person, type World } from './harness';

const WORDS = 'four slow barges';
const OTHER = 'a tin of grey paint';

let world: World;

before(async () => {
  world = await openWorld();
});
after(() => world.close());

const asOwner = <T>(work: (db: Db) => Promise<T>) => world.asOwner(({ db }) => work(db));
const signIn = async (username: string, password: string): Promise<[Person, number]> => {
  const person = world.person();
  const { status } = await person.request('POST', '/api/auth/sign-in/username', {
    username,
    password,
  });
  return [person, status];
};
const meOf = async (person: Person) => (await person.get<Me>('/api/me')).body;

test('the administrator adds a person, renames them, changes their role, and closes their account', async () => {
  const given = { username: 'nils', name: 'Nils Aske', role: 'technician', password: WORDS };
  await asOwner((db) => addPerson(db, given));
  const [nils, came] = await signIn('nils', WORDS);
  assert.equal(came, 200);
  assert.deepEqual((await meOf(nils)).approves, []);
  await asOwner((db) =>
    changePerson(db, 'nils', { name: 'Nils Orr', role: 'planner', approves: ['diver'] }),
  );
  const [again] = await signIn('nils', WORDS);
  const { name, role, approves } = await meOf(again);
  assert.deepEqual([name, role, approves], ['Nils Orr', 'planner', ['diver']]);
  await asOwner((db) => closePerson(db, 'nils'));
  assert.equal((await signIn('nils', WORDS))[1], 401);
  const listed = (await asOwner(listPeople)).find((p) => p.username === 'nils');
  assert.deepEqual([listed?.name, listed?.mayComeIn], ['Nils Orr', false]);
  const { rows } = await world.database.pool.query(
    "select type from audit where type like 'person.%' and body->>'username' = 'nils' order by id",
  );
  assert.deepEqual(
    rows.map((r: { type: string }) => r.type),
    ['person.add', 'person.change', 'person.close'],
  );
});

test('a taken name, an unknown role and a missing site are rejected', async () => {
  const given = { username: 'mara', name: 'Mara Fenn', role: 'technician', password: WORDS };
  const refused = (changes: object, why: RegExp) =>
    assert.rejects(
      asOwner((db) => addPerson(db, { ...given, ...changes })),
      why,
    );
  await refused({ username: 'ida' }, /taken/);
  await refused({ username: 'Mara F' }, /small letters/);
  await refused({ role: 'chief' }, /technician/);
  await refused({ site: 'Nowhere' }, /which site/);
  await refused({ approves: ['none'] }, /approves/);
  await refused({ password: 'password1234' }, /guessed/);
  await asOwner((db) => addPerson(db, given));
});

test('the application may not write people or sites', async () => {
  for (const query of [
    "update users set name = 'Chief', role = 'planner'",
    "update sites set second_signs = 'never'",
    'delete from users',
  ])
    await assert.rejects(world.database.pool.query(query), /permission denied/, query);
});

test('a password that is easy to guess is rejected with the reason', () => {
  for (const [password, why] of [
    ['short', /12 characters/],
    ['qwertyuiop123', /tried first/],
    ['passwordpassword', /tried first/],
    ['Liverpool2026!', /tried first/],
    ['ababababababab', /few characters/],
    ['ida and her boat', /user name/],
  ] as const)
    assert.match(guessable(password, 'ida') ?? '', why, password);
  assert.equal(guessable(WORDS, 'ida'), null);
});

test('a new password requires the old one, and ends all other sessions', async () => {
  const [vera] = await signIn('vera', 'quillmere-demo');
  const [elsewhere] = await signIn('vera', 'quillmere-demo');
  await meOf(elsewhere);
  const set = (current: string, next: string) =>
    vera.request<Problem>('POST', '/api/me/password', { current, next });
  const wrong = await set('not it', WORDS);
  assert.deepEqual([wrong.status, wrong.body.issues?.[0]?.path], [422, 'current']);
  const weak = await set('quillmere-demo', 'letmein');
  assert.deepEqual([weak.status, weak.body.issues?.[0]?.path], [422, 'next']);
  assert.equal((await set('quillmere-demo', WORDS)).status, 200);
  assert.equal((await meOf(vera)).username, 'vera', 'this one goes on');
  assert.equal((await elsewhere.get('/api/me')).status, 401);
  assert.equal((await signIn('vera', 'quillmere-demo'))[1], 401);
  assert.equal((await signIn('vera', WORDS))[1], 200);
});

test('a password set at the machine ends every session', async () => {
  const [tomas] = await signIn('tomas', 'quillmere-demo');
  await asOwner((db) => resetPassword(db, 'tomas', OTHER));
  // A session that another process ended is remembered for a few seconds at most.
  const ended = async () => (await tomas.get('/api/me')).status === 401;
  for (let i = 0; i < 100 && !(await ended()); i += 1)
    await new Promise((done) => setTimeout(done, 100));
  assert.ok(await ended());
  assert.equal((await signIn('tomas', OTHER))[1], 200);
});
