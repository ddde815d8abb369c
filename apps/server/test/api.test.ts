import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import {
  mixedBatches,
  type Asset,
  type CardOutcome,
  type KnownAir,
  type LeftoverOffer,
  type Problem,
  type RepairPage,
} from '@kelmot/contract';
import { openBatches, word, type Card } from '@kelmot/core';
import { demoAssets, demoCards } from '@kelmot/demo';
import { v7 as uuidv7 } from 'uuid';
import { seedDemo } from '@kelmot/demo-server/seedDemo';
import { command, openWorld, surveyAt, type Answer, type Person, type World } from './harness';

let world: World;
let ida: Person;

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

test('health and readiness answer without sign-in; everything else requires it', async () => {
  const anyone = world.person();
  assert.equal((await anyone.get('/healthz')).status, 200);
  assert.equal((await anyone.get('/readyz')).status, 200);
  for (const path of ['/api/me', '/api/repairs', '/api/assets', '/api/cards', '/api/site']) {
    const { status, headers, body } = await anyone.get<Problem>(path);
    assert.equal(status, 401);
    assert.match(headers.get('content-type') ?? '', /problem\+json/);
    assert.equal(body.title, 'Sign in first');
  }
});

test('a wrong password is rejected, a viewer can only read, signing out ends the session', async () => {
  const wrong = await world
    .person()
    .request('POST', '/api/auth/sign-in/username', { username: 'ida', password: 'not-this-one' });
  assert.equal(wrong.status, 401);
  const vera = await world.person().signIn('vera');
  assert.equal((await vera.get<{ role: string }>('/api/me')).body.role, 'viewer');
  const id = uuidv7();
  const write = await vera.send<Problem>(
    command(id, { type: 'repair.create', survey: surveyAt(new Date().toISOString()) }),
  );
  assert.equal(write.status, 403);
  await vera.request('POST', '/api/auth/sign-out', {});
  assert.equal((await vera.get('/api/me')).status, 401);
});

test('sign-in is limited by address', async () => {
  const strict = await openWorld({ signInsPerMinute: 3 });
  const statuses: number[] = [];
  for (let i = 0; i < 6; i++) {
    statuses.push(
      (
        await strict.person().request('POST', '/api/auth/sign-in/username', {
          username: 'ida',
          password: `guess-${i}-of-many`,
        })
      ).status,
    );
  }
  await strict.close();
  assert.deepEqual(statuses.slice(0, 3), [401, 401, 401]);
  assert.deepEqual(statuses.slice(3), [429, 429, 429]);
});

test('passwords are stored as argon2id, sessions in the database', async () => {
  const { rows } = await world.database.pool.query<{ password: string }>(
    'select password from accounts',
  );
  for (const { password } of rows) assert.match(password, /^\$argon2id\$/);
  const { rows: sessions } = await world.database.pool.query('select 1 from sessions');
  assert.ok(sessions.length > 0);
});

test('assets and cards are served complete', async () => {
  assert.equal((await ida.get<Asset[]>('/api/assets')).body.length, demoAssets.length);
  const { body } = await ida.get<Card[]>('/api/cards');
  assert.deepEqual(body.map((c) => c.code).sort(), demoCards.map((c) => c.code).sort());
});

test('the list pages by keyset without losing or repeating a row, and searches tag, name and place', async () => {
  const seen: string[] = [];
  let cursor: string | null = null;
  do {
    const { body }: Answer<RepairPage> = await ida.get<RepairPage>(
      `/api/repairs?limit=4${cursor ? `&cursor=${cursor}` : ''}`,
    );
    seen.push(...body.rows.map((r) => r.id));
    cursor = body.next;
  } while (cursor);
  assert.equal(new Set(seen).size, seen.length);
  assert.equal(seen.length, (await ida.get<RepairPage>('/api/repairs?limit=200')).body.rows.length);
  const find = async (q: string) =>
    (await ida.get<RepairPage>(`/api/repairs?q=${encodeURIComponent(q)}`)).body.rows;
  assert.ok((await find('p-204')).every((r) => r.tag === 'P-204'));
  assert.ok((await find('flume')).length >= 2);
  assert.equal((await find('%')).length, 0, 'a wildcard is a letter like any other');
  assert.ok((await find('lime house')).length >= 3);
});

test('the demo shows each stage: an open batch, a failed gate, a window between coats, a cure, due looks', async () => {
  const { rows } = (await ida.get<RepairPage>('/api/repairs?status=open&limit=200')).body;
  const by = (tag: string) => rows.find((r) => r.tag === tag);
  assert.ok(by('P-204')?.mixes.some((m) => m.placedAt === null));
  const stop = by('P-305')?.stop;
  assert.match(stop ? word(stop) : '', /above dew point/);
  const coated = by('P-201');
  assert.ok((coated?.summary?.rounds.length ?? 0) > 1);
  assert.ok(coated?.summary && openBatches(coated.summary, mixedBatches(coated.mixes)).length > 0);
  assert.ok(by('P-117')?.summary);
  const closed = (await ida.get<RepairPage>('/api/repairs?status=closed&limit=200')).body.rows;
  assert.ok(closed.length >= 5);
  assert.ok(closed.every((r) => r.dueOn !== null));
  assert.equal(
    await world.database.db.transaction((tx) => seedDemo(tx, Date.now())),
    false,
    'seeding again changes nothing',
  );
});

const bad: [string, (valid: ReturnType<typeof surveyAt>) => unknown, RegExp, RegExp][] = [
  [
    'a depth below its range',
    (s) => ({ ...s, damages: [{ shape: 'pocket', diameterMm: 100, depthMm: -3, wallMm: 20 }] }),
    /survey\.damages\.0\.depthMm/,
    /must be 0\.2 or more/,
  ],
  [
    'a temperature out of range',
    (s) => ({ ...s, service: { ...s.service, mediumC: 900 } }),
    /survey\.service\.mediumC/,
    /must be 250 or less/,
  ],
  [
    'a word for a number',
    (s) => ({ ...s, readings: { ...s.readings, rhPct: 'wet' } }),
    /survey\.readings\.rhPct/,
    /must be a number/,
  ],
  [
    'a metal that is none',
    (s) => ({ ...s, parent: { ...s.parent, material: 'cheese' } }),
    /survey\.parent\.material/,
    /must be carbon-steel, cast-iron/,
  ],
  ['a field nobody asked for', (s) => ({ ...s, colour: 'red' }), /survey\.colour/, /unknown field/],
  ['a missing window', (s) => ({ ...s, window: undefined }), /survey\.window/, /is missing/],
  ['no damage at all', (s) => ({ ...s, damages: [] }), /survey\.damages/, /at least 1 entry/],
];
for (const [name, spoil, path, message] of bad) {
  test(`${name} is refused with the field, the range and the fix`, async () => {
    const survey = spoil(surveyAt(new Date().toISOString()));
    const { status, body } = await ida.request<Problem>('POST', '/api/commands', {
      ...command(uuidv7(), { type: 'repair.create', survey: surveyAt(new Date().toISOString()) }),
      survey,
    });
    assert.equal(status, 422);
    const issue = body.issues?.find((i) => path.test(i.path));
    assert.ok(issue, JSON.stringify(body));
    assert.match(issue.message, message);
  });
}

test('air and surface come from the last reading at a place, otherwise from the weather, with their source', async () => {
  const asset = demoAssets.find((a) => a.tag === 'P-305');
  const at = (position: string) =>
    ida.get<KnownAir | null>(`/api/air?position=${encodeURIComponent(position)}`);
  const read = (await at(asset?.position ?? '')).body;
  assert.equal(read?.from, 'reading');
  const repair = (await ida.get<RepairPage>('/api/repairs?q=' + read?.source)).body.rows[0];
  assert.equal(repair?.position, asset?.position);
  assert.equal((await at('')).body?.from, 'weather', 'no place is not one place');
  const elsewhere = (await at('nowhere at all')).body;
  assert.equal(elsewhere?.from, 'weather');
  assert.match(elsewhere?.source ?? '', /simulated/i);
  assert.equal(elsewhere?.surfaceC, elsewhere?.airC);
  assert.equal((await ida.get('/api/air')).status, 422);
});

test('leftovers of a job are offered to open repairs without a batch, and to no others', async () => {
  const { rows } = (await ida.get<RepairPage>('/api/repairs?status=open&limit=200')).body;
  const lists = await Promise.all(
    rows.map(async (row) => {
      const found = await ida.get<LeftoverOffer[]>(`/api/repairs/${row.id}/leftovers`);
      assert.equal(found.status, 200);
      return { row, offers: found.body };
    }),
  );
  const all = lists.flatMap(({ row, offers }) => offers.map((offer) => ({ row, offer })));
  assert.ok(all.length > 0, 'the demo has a leftover that does another job');
  for (const { row, offer } of all) {
    const other = rows.find((r) => r.id === offer.repairId);
    assert.notEqual(offer.repairId, row.id);
    assert.equal(offer.tag, other?.tag);
    assert.ok(['survey', 'match', 'prep'].includes(other?.station ?? ''));
    assert.ok(offer.takes > 0 && offer.takes <= offer.left);
    assert.equal(offer.from === 'batch', offer.withinMin !== null);
  }
  const nowhere = await ida.get(`/api/repairs/${uuidv7()}/leftovers`);
  assert.equal(nowhere.status, 404);
});

test('writes from another site, in another format, or too large are rejected', async () => {
  const body = command(uuidv7(), {
    type: 'repair.create',
    survey: surveyAt(new Date().toISOString()),
  });
  assert.equal(
    (await ida.request('POST', '/api/commands', body, { origin: 'http://elsewhere.test' })).status,
    403,
  );
  assert.equal(
    (await ida.request('POST', '/api/commands', body, { 'content-type': 'text/plain' })).status,
    415,
  );
  const large = await ida.request('POST', '/api/commands', { ...body, note: 'x'.repeat(600_000) });
  assert.equal(large.status, 413);
  // A body with a Content-Length is not read; a small one is accepted.
  const said = (length: number) =>
    ida.raw('POST', '/api/commands', '{}', { 'content-length': `${length}` });
  assert.deepEqual([(await said(524_289)).status, (await said(2)).status], [413, 422]);
});

test('unknown addresses and ids are reported; the API document names every route', async () => {
  assert.equal((await ida.get('/api/nothing')).status, 404);
  assert.equal((await ida.get(`/api/repairs/${uuidv7()}`)).status, 404);
  assert.equal((await ida.get('/api/repairs/not-an-id')).status, 422);
  const { body } = await ida.get<{ paths: Record<string, unknown> }>('/api/openapi.json');
  assert.deepEqual(Object.keys(body.paths).sort(), [
    '/air',
    '/assets',
    '/auth/here',
    '/auth/sign-in/code',
    '/auth/sign-in/username',
    '/auth/sign-out',
    '/cards',
    '/commands',
    '/demo/users',
    '/forecast',
    '/me',
    '/me/code',
    '/me/code/drop',
    '/me/password',
    '/photos/{id}',
    '/repairs',
    '/repairs/{id}',
    '/repairs/{id}/leftovers',
    '/repairs/{id}/live',
    '/shelf',
    '/shelf/moves',
    '/site',
  ]);
});

test('answers have security headers, and no stack trace', async () => {
  const { headers, body } = await ida.get('/api/nothing');
  assert.match(headers.get('content-security-policy') ?? '', /default-src 'self'/);
  assert.equal(headers.get('x-content-type-options'), 'nosniff');
  assert.doesNotMatch(JSON.stringify(body), /at .*\.ts:/);
});

test('a planner imports cards as new versions; unchanged ones are skipped; an old edit is rejected', async () => {
  const tomas = await world.person().signIn('tomas');
  const [card] = (await tomas.get<Card[]>('/api/cards')).body.filter((c) => c.code === 'R-225');
  if (!card) throw new Error('R-225 is missing');
  const file = (...cards: Card[]) => ({ format: 'kelmot-cards', version: 1, cards });
  const post = (who: Person, body: object) =>
    who.request<Problem & CardOutcome[]>('POST', '/api/cards', body);

  assert.equal((await post(ida, file(card))).status, 403);
  assert.deepEqual((await post(tomas, file(card))).body, [
    { code: 'R-225', version: 1, outcome: 'unchanged' },
  ]);
  const edited = { ...card, name: 'Ceramic wear paste, coarse' };
  assert.deepEqual((await post(tomas, file(edited))).body, [
    { code: 'R-225', version: 2, outcome: 'new-version' },
  ]);
  const stale = await post(tomas, file({ ...card, name: 'Another name' }));
  assert.equal(stale.status, 409);
  assert.match(JSON.stringify(stale.body), /the newest is 2/);
  const added = await post(tomas, file({ ...card, code: 'R-299', version: 1 }));
  assert.deepEqual(added.body, [{ code: 'R-299', version: 1, outcome: 'added' }]);
  const bad = await post(tomas, file({ ...card, name: '' }));
  assert.equal(bad.status, 422);
  assert.match(JSON.stringify(bad.body), /cards\.0\.name/);
  const names = (await tomas.get<Card[]>('/api/cards')).body.map((c) => `${c.code} ${c.version}`);
  assert.ok(names.includes('R-225 2') && names.includes('R-299 1'));
});
