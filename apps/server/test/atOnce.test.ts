import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Ack, Problem } from '@kelmot/contract';
import { v7 as uuidv7 } from 'uuid';
import { readAuditChain } from '../src/db/auditChain';
import type { Db } from '../src/db/client';
import { recordOnce, type Recording } from '../src/db/recordOnce';
import { waitForDisk, durably } from '../src/db/durably';
import { command, inWorld, planRepair, surveyAt } from './harness';
import { recordingsOf } from './recording';

const on = inWorld('ida', 'tomas');
const at = () => new Date().toISOString();
const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;

let made = 0;
const planned = () => planRepair(on.ida, surveyAt(at(), `W-${++made}`), 'R-210', at());

test('thirty simultaneous records on one repair and on three are all kept, in order, each with its audit line', async () => {
  const ids = [await planned(), await planned(), await planned()];
  const [busy = ''] = ids;
  const planId = (await on.ida.repair(busy)).plan?.id;
  const sent = Array.from({ length: 30 }, (_, i) =>
    i % 3 === 0
      ? command(busy, { ...tick, planId, note: `${i}` })
      : command(ids[i % 3] ?? '', { ...tick, note: `${i}` }),
  );
  const before = await readAuditChain(on.world.database.db);
  const answers = await Promise.all(sent.map((c, i) => (i % 2 ? on.ida : on.tomas).send<Ack>(c)));
  assert.deepEqual(new Set(answers.map((a) => a.status)), new Set([200]));
  for (const id of ids) {
    const { checks, updatedAt } = await on.ida.repair(id);
    assert.equal(checks.length, 10);
    const received = checks.map((c) => Date.parse(c.receivedAt ?? ''));
    assert.deepEqual(
      received,
      received.toSorted((a, b) => a - b),
    );
    assert.equal(Date.parse(updatedAt), received.at(-1), 'the repair changed when the last came');
  }
  const chain = await readAuditChain(on.world.database.db);
  assert.deepEqual([chain.lines - before.lines, chain.brokenAt], [30, null]);
});

test('ten simultaneous copies of a record have one effect, one audit line and one answer', async () => {
  const id = await planned();
  const said = { ...tick, planId: (await on.ida.repair(id)).plan?.id };
  const once = command(id, said);
  const before = await readAuditChain(on.world.database.db);
  const answers = await Promise.all(Array.from({ length: 10 }, () => on.ida.send<Ack>(once)));
  for (const { status, body } of answers)
    assert.deepEqual([status, body], [200, answers[0]?.body], JSON.stringify(body));
  const { checks, updatedAt } = await on.ida.repair(id);
  assert.equal(checks.length, 1);
  assert.equal((await readAuditChain(on.world.database.db)).lines, before.lines + 1);
  await on.ida.send(once);
  assert.equal((await on.ida.repair(id)).updatedAt, updatedAt, 'said again it changes nothing');
  const other = await on.ida.send<Problem>({
    ...command(id, { ...said, note: 'Something else.' }),
    id: once.id,
  });
  assert.deepEqual([other.status, other.body.title], [409, 'This id was used for something else']);
  const another = await on.tomas.send<Problem>(once);
  assert.equal(another.status, 409, 'an id of one person is not another’s');
});

test('ten simultaneous copies of a new repair make one', async () => {
  const id = uuidv7();
  const survey = surveyAt(at(), `W-${++made}`);
  const once = command(id, { type: 'repair.create', survey });
  const answers = await Promise.all(Array.from({ length: 10 }, () => on.ida.send<Ack>(once)));
  assert.deepEqual(
    answers.map((a) => a.status),
    answers.map(() => 200),
  );
  assert.equal((await on.ida.repair(id)).version, 1);
});

test('a record is not written if its repair is of another site, closed, newer, or on another plan', async () => {
  const id = await planned();
  const record = await recordingsOf(on.world.database, id);
  const { db } = on.world.database;
  const before = await readAuditChain(db);
  const not: [string, Partial<Recording>][] = [
    ['of another site', { siteId: uuidv7() }],
    ['before it was there', { notBefore: '2020-01-01T00:00:00Z' }],
    ['its plan is another', { plan: { id: uuidv7(), number: 1 } }],
  ];
  for (const [why, changed] of not) assert.equal(await recordOnce(db, record(changed)), null, why);
  await on.world.asOwner(({ pool }) =>
    pool.query("update repairs set status = 'dropped' where id = $1", [id]),
  );
  assert.equal(await recordOnce(db, record()), null, 'closed');
  await on.world.asOwner(({ pool }) =>
    pool.query("update repairs set status = 'open' where id = $1", [id]),
  );
  assert.deepEqual((await on.ida.repair(id)).checks, []);
  assert.equal((await readAuditChain(db)).lines, before.lines);
  const later = '2031-01-01T00:00:00.000Z';
  assert.deepEqual(await recordOnce(db, record({ received: later })), {
    version: (await on.ida.repair(id)).version,
    keptWith: null,
  });
  await recordOnce(db, record());
  const moments = (await on.ida.repair(id)).checks.map((c) => c.receivedAt);
  assert.deepEqual(moments, [later, later], 'a clock that was set back puts nothing before');
});

test('rejections come in this order: no repair, closed, no such plan, no such step', async () => {
  const id = await planned();
  const gone = await on.ida.send<Problem>(command(uuidv7(), { ...tick, planId: uuidv7() }));
  assert.equal(gone.status, 404);
  const step = await on.ida.send<Problem>(command(id, { ...tick, stepId: 'nothing' }));
  assert.deepEqual([step.status, step.body.issues?.[0]?.path], [422, 'stepId']);
  await on.world.asOwner(({ pool }) =>
    pool.query("update repairs set status = 'closed' where id = $1", [id]),
  );
  const closed = await on.ida.send<Problem>(command(id, { ...tick, stepId: 'nothing' }));
  assert.equal(closed.status, 409, 'that it is closed is said first');
  const young = await on.ida.send<Problem>(
    command(await planned(), { ...tick, at: '2024-01-01T00:00:00.000Z' }),
  );
  assert.match(young.body.title, /was not there yet/);
});

/** A fake database that only flushes: each flush waits until the test releases it. */
function slowDisk() {
  const waiting: { done: () => void; fail: (why: Error) => void }[] = [];
  const execute = () =>
    new Promise<void>((done, fail) => {
      waiting.push({ done, fail });
    });
  return { db: { $client: {}, execute } as unknown as Db, waiting };
}
const settled = () => new Promise((resolve) => setImmediate(resolve));

test('writes that wait for the disk share its next flush', async () => {
  const { db, waiting } = slowDisk();
  const done: string[] = [];
  const wait = (name: string) => waitForDisk(db).then(() => done.push(name));
  const first = wait('first');
  await settled();
  const others = [wait('second'), wait('third')];
  await settled();
  assert.equal(waiting.length, 1, 'one write of the disk at a time');
  waiting[0]?.done();
  await first;
  await settled();
  assert.deepEqual(done, ['first'], 'what came during a write may not be in it');
  assert.equal(waiting.length, 2, 'one for both');
  waiting[1]?.done();
  await Promise.all(others);
  assert.deepEqual(done, ['first', 'second', 'third']);
});

test('a failed flush is reported to its waiters, and the next is tried', async () => {
  const { db, waiting } = slowDisk();
  const first = waitForDisk(db);
  await settled();
  const second = waitForDisk(db);
  waiting[0]?.fail(new Error('the disk is away'));
  await assert.rejects(first, /the disk is away/);
  await settled();
  waiting[1]?.done();
  await second;
});

test('a transaction is acknowledged only once it is on disk', async () => {
  const { waiting, db } = slowDisk();
  const said: string[] = [];
  const tx = { execute: () => Promise.resolve() };
  const transaction = async (work: (t: typeof tx) => Promise<string>) => {
    const answer = await work(tx);
    said.push('committed');
    return answer;
  };
  const answer = durably(Object.assign(db, { transaction }) as never, async () => 'kept').then(
    (kept) => said.push(kept),
  );
  await settled();
  await settled();
  assert.deepEqual(said, ['committed']);
  waiting[0]?.done();
  await answer;
  assert.deepEqual(said, ['committed', 'kept']);
});
