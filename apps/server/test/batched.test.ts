import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Ack } from '@kelmot/contract';
import { v7 as uuidv7 } from 'uuid';
import { readAuditChain } from '../src/db/auditChain';
import type { Database } from '../src/db/client';
import { batched } from '../src/db/batched';
import { recordOnce, type Recorded } from '../src/db/recordOnce';
import { command, inWorld, planRepair, surveyAt } from './harness';
import { recordingsOf } from './recording';

const on = inWorld('ida', 'tomas');
const at = () => new Date().toISOString();
const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;

let made = 0;
const planned = () => planRepair(on.ida, surveyAt(at(), `T-${++made}`), 'R-210', at());

/** Requests in groups and alone, to a handler that answers when the test says so. */
function asking(most = 10) {
  const together: string[][] = [];
  const alone: string[] = [];
  const letGo: ((how?: Error | null[]) => void)[] = [];
  const ask = batched<string, string>({
    together: (many) => {
      together.push(many);
      return new Promise((answer, fail) => {
        letGo.push((how) =>
          how instanceof Error ? fail(how) : answer(how ?? many.map((one) => `${one}!`)),
        );
      });
    },
    alone: (one) => {
      alone.push(one);
      return one === 'bad' ? Promise.reject(new Error('refused')) : Promise.resolve(`${one}.`);
    },
    apart: (one) => one.slice(0, 1),
    most,
  });
  const turn = async () => {
    for (let i = 0; i < 3; i += 1) await new Promise((then) => setImmediate(then));
  };
  return { ask, together, alone, letGo, turn };
}

test('requests of one turn form a group; those that come during it form the next', async () => {
  const { ask, together, letGo, turn } = asking();
  const first = [ask('a'), ask('b')];
  await turn();
  const next = [ask('c'), ask('d'), ask('e')];
  await turn();
  assert.deepEqual(together, [['a', 'b']], 'one at a time');
  letGo[0]?.();
  assert.deepEqual(await Promise.all(first), ['a!', 'b!']);
  await turn();
  assert.deepEqual(together[1], ['c', 'd', 'e']);
  letGo[1]?.();
  assert.deepEqual(await Promise.all(next), ['c!', 'd!', 'e!']);
  const last = ask('f');
  await turn();
  letGo[2]?.();
  assert.equal(await last, 'f!', 'and begins again once nothing was asked');
});

test('two with the same key run one after the other, and no more than the limit at once', async () => {
  const { ask, together, letGo, turn } = asking(2);
  const all = ['a1', 'a2', 'b1', 'c1', 'a3'].map(ask);
  for (let i = 0; i < 3; i += 1) {
    await turn();
    letGo[i]?.();
  }
  await Promise.all(all);
  assert.deepEqual(together, [['a1', 'b1'], ['a2', 'c1'], ['a3']]);
});

test('a request that fails in a group is handled alone, and holds up no others', async () => {
  const { ask, alone, letGo, turn } = asking();
  const all = ['good', 'bad'].map((one) => ask(one).catch((error: Error) => error.message));
  await turn();
  const next = ask('next');
  letGo[0]?.(new Error('one of them'));
  assert.deepEqual(await Promise.all(all), ['good.', 'refused'], 'an error is of who caused it');
  assert.deepEqual(alone, ['good', 'bad']);
  await turn();
  letGo[1]?.([null]);
  assert.equal(await next, 'next.', 'and so is who was left out');
});

test('a record that the database rejects does not affect its group', async () => {
  const { database } = on.world;
  const { db } = database;
  const ids = [await planned(), await planned(), await planned()];
  const [first, bad, last] = await Promise.all(ids.map((id) => recordingsOf(database, id)));
  if (!first || !bad || !last) throw new Error('three were planned');
  const before = await readAuditChain(db);
  const refused = bad();
  for (const add of refused.adds) add.row.by = 'nobody';
  const found = await Promise.allSettled(
    [first(), refused, last()].map((recording) => recordOnce(db, recording)),
  );
  assert.deepEqual(
    found.map((f) => f.status),
    ['fulfilled', 'rejected', 'fulfilled'],
  );
  const kept = await Promise.all(ids.map(async (id) => (await on.ida.repair(id)).checks.length));
  assert.deepEqual(kept, [1, 0, 1]);
  const chain = await readAuditChain(db);
  assert.deepEqual([chain.lines - before.lines, chain.brokenAt], [2, null]);
});

test('records of different people, kinds and plans in one group keep their own data', async () => {
  const ids = await Promise.all(Array.from({ length: 6 }, planned));
  const sent = ids.map((id, i) =>
    i % 2
      ? command(id, { ...tick, note: `note ${i}` })
      : command(id, {
          type: 'reading.add',
          stepId: 'gate',
          values: { kind: 'ambient', airC: 18, rhPct: 50 + i, surfaceC: 20 },
        }),
  );
  const answers = await Promise.all(
    sent.map((c, i) => (i % 3 ? on.ida : on.tomas).send<Ack>(c).then(({ body }) => body)),
  );
  for (const [i, id] of ids.entries()) {
    const { checks, readings, version } = await on.ida.repair(id);
    const who = i % 3 ? 'ida' : 'tomas';
    const own = i % 2 ? checks : readings;
    assert.equal(own.length, 1);
    assert.match(own[0]?.by.toLowerCase() ?? '', new RegExp(who));
    assert.equal(checks[0]?.note, i % 2 ? `note ${i}` : undefined);
    assert.deepEqual(answers[i], {
      ...{ commandId: sent[i]?.id, repairId: id, version, keptWith: null },
    });
  }
});

/** The time since when a statement waits for a lock, once one does. */
async function waitingSince({ pool }: Database): Promise<string> {
  for (;;) {
    const { rows } = await pool.query<{ since: string }>(
      `select query_start::text as since from pg_stat_activity
       where datname = current_database() and wait_event_type = 'Lock'`,
    );
    if (rows[0]) return rows[0].since;
  }
}

test('a locked repair only delays writes to it', async () => {
  const { database } = on.world;
  const [held, free] = [await planned(), await planned()];
  const client = await database.pool.connect();
  try {
    await client.query('begin');
    await client.query('select from repairs where id = $1 for update', [held]);
    const waits = on.ida.send<Ack>(command(held, tick));
    const since = await waitingSince(database);
    const beside = await Promise.all(
      Array.from({ length: 3 }, () => on.tomas.send<Ack>(command(free, tick))),
    );
    assert.deepEqual(
      beside.map((a) => a.status),
      [200, 200, 200],
    );
    assert.equal(await waitingSince(database), since, 'they were answered while it waited');
    await client.query('commit');
    assert.equal((await waits).status, 200);
  } finally {
    client.release();
  }
  assert.equal((await on.ida.repair(held)).checks.length, 1);
});

test('a repeated record is not written again by its group', async () => {
  const { database } = on.world;
  const [one, other] = await Promise.all(
    [await planned(), await planned()].map((id) => recordingsOf(database, id)),
  );
  if (!one || !other) throw new Error('two were planned');
  const again = one();
  const done = async (): Promise<(Recorded | null)[]> =>
    Promise.all([again, other()].map((recording) => recordOnce(database.db, recording)));
  const version = 2;
  assert.deepEqual(await done(), [
    { version, keptWith: null },
    { version, keptWith: null },
  ]);
  assert.deepEqual(await done(), [null, { version, keptWith: null }]);
  assert.equal(await recordOnce(database.db, one({ siteId: uuidv7() })), null);
});
