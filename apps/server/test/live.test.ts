import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { LiveState } from '@kelmot/contract';
import { sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { ago, command, openWorld, planRepair, surveyAt, type Person, type World } from './harness';

const closing = new AbortController();
let world: World;
let ida: Person;
let tomas: Person;
let id: string;

before(async () => {
  world = await openWorld({ closing: closing.signal });
  ida = await world.person().signIn('ida');
  tomas = await world.person().signIn('tomas');
  id = await planRepair(ida, surveyAt(ago(1), 'L-1'), 'R-210', ago(1));
});
after(() => world.close());

const any = () => true;
const steps = ({ people }: LiveState) => people.map((p) => `${p.name} ${p.stepId}`).sort();

test("each of two receives the other's changes, and an event carries the present state", async () => {
  const heard = await tomas.hear(id);
  const { mark } = await heard.until(any);
  const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;
  assert.equal((await ida.send(command(id, tick))).status, 200);
  const { updatedAt } = await heard.until((state) => state.mark !== mark);
  assert.equal(updatedAt, (await tomas.repair(id)).updatedAt);
  await heard.leave();
});

test('changes are received no matter who wrote them: another server, or the owner', async () => {
  const heard = await tomas.hear(id);
  const { mark } = await heard.until(any);
  await world.asOwner(({ db }) =>
    db.execute(sql`update repairs set title = title || '.' where id = ${id}`),
  );
  await heard.until((state) => state.mark !== mark);
  await heard.leave();
});

test('each sees who else has it open and at which step, and that they left', async () => {
  const name = async (p: Person) => (await p.get<{ name: string }>('/api/me')).body.name;
  const [I, T] = [await name(ida), await name(tomas)];
  const heard = await tomas.hear(id, uuidv7(), 'isolate');
  await heard.until((state) => state.people.length === 1);
  const tab = uuidv7();
  const other = await ida.hear(id, tab, 'clean');
  const both = await heard.until((state) => state.people.length === 2);
  assert.deepEqual(steps(both), [`${I} clean`, `${T} isolate`].sort());
  // The same page at another step is still one page.
  const moved = await ida.hear(id, tab, 'abrade');
  const then = await heard.until((state) => steps(state).includes(`${I} abrade`));
  assert.equal(then.people.length, 2);
  // Its earlier stream ends later, and does not affect the new one.
  await other.leave();
  const again = await tomas.hear(id, uuidv7());
  const seen = await again.until(({ people }) => people.length === 3);
  assert.ok(steps(seen).includes(`${I} abrade`));
  await again.leave();
  await moved.leave();
  assert.deepEqual(steps(await heard.until(({ people }) => people.length === 1)), [`${T} isolate`]);
  await heard.leave();
});

test('a page that stops reporting is no longer listed', async () => {
  const heard = await tomas.hear(id);
  await heard.until((state) => state.people.length === 1);
  await world.asOwner(({ db }) =>
    db.execute(sql`update presence set seen_at = now() - interval '41 seconds'`),
  );
  await heard.until((state) => state.people.length === 0);
  await heard.leave();
});

test('nobody receives events without sign-in, for a missing repair, or from a page without an id', async () => {
  const live = (repair: string, tab: string) => `/api/repairs/${repair}/live?tab=${tab}`;
  assert.equal((await world.person().get(live(id, uuidv7()))).status, 401);
  assert.equal((await ida.get(live(uuidv7(), uuidv7()))).status, 404);
  assert.equal((await ida.get(live(id, 'one'))).status, 422);
});

test('one person has a limited number of open pages, and a closed one frees a place', async () => {
  const asked = await Promise.allSettled(Array.from({ length: 45 }, () => ida.hear(id)));
  const pages = asked.flatMap((page) => (page.status === 'fulfilled' ? [page.value] : []));
  assert.equal(pages.length, 30);
  assert.equal((await ida.get(`/api/repairs/${id}/live?tab=${uuidv7()}`)).status, 429);
  await (await tomas.hear(id)).leave();
  await pages[0]?.leave();
  const again = await ida.hear(id);
  await again.until(any);
  await Promise.all([again, ...pages.slice(1)].map((page) => page.leave()));
});

test('a rejected page takes no place', async () => {
  for (let tries = 0; tries < 35; tries += 1)
    assert.equal((await ida.get(`/api/repairs/${uuidv7()}/live?tab=${uuidv7()}`)).status, 404);
  await (await ida.hear(id)).leave();
});

test('a stopping server ends its event streams', async () => {
  const heard = await ida.hear(id);
  await heard.until(any);
  closing.abort();
  await assert.rejects(
    heard.until(() => false),
    /it has ended/,
  );
});
