import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import {
  cardFile,
  type Asset,
  type Me,
  type Problem,
  type RepairPage,
  type Site,
} from '@kelmot/contract';
import type { Card } from '@kelmot/core';
import { demoCards, demoLots, demoPhoto, siteSettings } from '@kelmot/demo';
import { v7 as uuidv7 } from 'uuid';
import { cards, sites } from '../src/db/plant';
import { addPerson } from '../src/services/people';
import { command, openWorld, planRepair, surveyAt, type Person, type World } from './harness';

const siteId = uuidv7();
const PASSWORD = 'nine brown herons';
let world: World;
/** Ida is of the demo site, the other person of another site. */
let ida: Person;
let ruth: Person;
/** A repair of the demo site with a picture. */
let theirs: string;
let photo: string;
const at = () => new Date().toISOString();

before(async () => {
  world = await openWorld();
  await world.asOwner(async ({ db }) => {
    await db
      .insert(sites)
      .values({ ...siteSettings, id: siteId, name: 'Harrow Mill', zone: 'UTC' });
    const ruth = { username: 'ruth', name: 'Ruth Aske', role: 'planner', site: 'Harrow Mill' };
    await addPerson(db, { ...ruth, password: PASSWORD });
  });
  const some = demoCards.slice(0, 3);
  await world.database.db
    .insert(cards)
    .values(some.map((body) => ({ siteId, code: body.code, version: 1, role: body.role, body })));
  ida = await world.person().signIn('ida');
  ruth = world.person();
  const signed = { username: 'ruth', password: PASSWORD };
  await ruth.request('POST', '/api/auth/sign-in/username', signed);
  theirs = await planRepair(ida, surveyAt(at(), 'S-1'), 'R-210', at());
  const taken = command(theirs, { type: 'photo.add', stepId: 'protect', ...demoPhoto });
  photo = taken.id;
  assert.equal((await ida.send(taken)).status, 200);
});
after(() => world.close());

test("everything is read within the reader's site", async () => {
  assert.equal((await ruth.get<Me>('/api/me')).body.siteId, siteId);
  assert.equal((await ruth.get<Site>('/api/site')).body.settings.name, 'Harrow Mill');
  assert.equal((await ida.get<Site>('/api/site')).body.settings.name, siteSettings.name);
  assert.deepEqual((await ruth.get<Asset[]>('/api/assets')).body, []);
  assert.equal((await ruth.get<Card[]>('/api/cards')).body.length, 3);
  assert.equal((await ida.get<Card[]>('/api/cards')).body.length, demoCards.length);
  assert.deepEqual((await ruth.get('/api/shelf')).body, []);
  assert.deepEqual((await ruth.get<RepairPage>('/api/repairs?status=all')).body.rows, []);
  const air = await ruth.get<{ from: string }>('/api/air?position=Test%20bay');
  assert.notEqual(air.body?.from, 'reading');
  for (const path of [
    ...[`repairs/${theirs}`, `repairs/${theirs}/leftovers`, `photos/${photo}`],
    `repairs/${theirs}/live?tab=${uuidv7()}`,
  ]) {
    assert.equal((await ida.get(`/api/${path}`)).status, 200, path);
    assert.equal((await ruth.get(`/api/${path}`)).status, 404, path);
  }
});

test("everything is written within the writer's site", async () => {
  const { version, plan } = await ida.repair(theirs);
  const survey = surveyAt(at(), 'S-1');
  const tries = [
    { type: 'survey.save', expect: version, survey },
    { type: 'station.move', expect: version, station: 'survey' },
    { type: 'check.set', stepId: 'isolate', done: true, note: '', planId: plan?.id },
    { type: 'signoff.add', verdict: 'redo', statement: 'Not mine.' },
  ] as const;
  for (const draft of tries)
    assert.equal((await ruth.send(command(theirs, draft))).status, 404, draft.type);
  const [asset] = (await ida.get<Asset[]>('/api/assets')).body;
  const foreign = { ...survey, asset: { ...survey.asset, id: asset?.id ?? null } };
  const made = await ruth.send<Problem>(
    command(uuidv7(), { type: 'repair.create', survey: foreign }),
  );
  assert.equal(made.body.issues?.[0]?.path, 'survey.asset.id');
  assert.equal((await ida.repair(theirs)).version, version);
});

test("cards and shelf of one site are not another's", async () => {
  const [card] = demoCards;
  const lot = demoLots[0];
  if (!card || !lot) throw new Error('no cards');
  const renamed = { ...card, name: 'Another name' };
  const imported = await ruth.request('POST', '/api/cards', cardFile([renamed]));
  assert.equal(imported.status, 200);
  const named = async (person: Person) =>
    (await person.get<Card[]>('/api/cards')).body.find((c) => c.code === card.code)?.name;
  assert.deepEqual([await named(ruth), await named(ida)], ['Another name', card.name]);
  const [pack] = card.packs;
  const move = {
    id: uuidv7(),
    at: at(),
    cardCode: card.code,
    packId: pack?.id,
    lot: 'HM-1',
    expiresOn: '2030-01-01',
    delta: 4,
    reason: 'received',
  };
  const foreign = await ruth.request<Problem>('POST', '/api/shelf/moves', {
    ...move,
    repairId: theirs,
  });
  assert.equal(foreign.body.issues?.[0]?.path, 'repairId');
  assert.equal((await ruth.request('POST', '/api/shelf/moves', move)).status, 200);
  assert.equal((await ruth.get<unknown[]>('/api/shelf')).body.length, 1);
  const shelf = (await ida.get<{ lot: string }[]>('/api/shelf')).body;
  assert.ok(!shelf.some((l) => l.lot === 'HM-1'));
});

test('a plan uses the cards of its own site', async () => {
  const none = await planRepair(ruth, surveyAt(at(), 'H-1'), 'R-250', at()).then(
    () => 'planned',
    (error: Error) => error.message,
  );
  const has = (await ruth.get<Card[]>('/api/cards')).body.some((c) => c.code === 'R-250');
  assert.ok(has || /No such card/.test(none), none);
});
