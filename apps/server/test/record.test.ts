import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Ack, Me, Problem } from '@kelmot/contract';
import { planBatches, word } from '@kelmot/core';
import { v7 as uuidv7 } from 'uuid';
import {
  ago,
  command,
  HOUR,
  inWorld,
  planRepair,
  signedAfterwards,
  surveyAt,
  work,
} from './harness';

const on = inWorld('ida', 'tomas');

let made = 0;
const planned = (hours: number) =>
  planRepair(on.ida, surveyAt(ago(hours), `R-${++made}`), 'R-210', ago(hours));

/** Makes another plan of a repair, in its present state. */
async function planAgain(id: string, cardCode = 'R-210'): Promise<void> {
  const { version } = await on.tomas.repair(id);
  const again = await on.tomas.send(
    command(id, {
      type: 'plan.make',
      expect: version,
      planId: uuidv7(),
      cardCode,
      intent: 'lasting',
    }),
  );
  assert.equal(again.status, 200, JSON.stringify(again.body));
}

test('a record stays with the plan that it was made on, and the answer says which', async () => {
  const id = await planned(6);
  const first = (await on.ida.repair(id)).plan?.id;
  await planAgain(id);
  const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;
  const late = command(id, { ...tick, planId: first });
  const kept = await on.ida.send<Ack>(late);
  assert.deepEqual([kept.status, kept.body.keptWith], [200, 1]);
  const again = await on.ida.send<Ack>(late);
  assert.deepEqual([again.status, again.body.keptWith], [200, 1], 'sent again it says the same');
  const view = await on.ida.repair(id);
  assert.equal(view.plan?.number, 2);
  assert.deepEqual(view.checks, [], 'it does not count for the new plan');
  assert.deepEqual(
    view.earlier.map((r) => [r.plan, word(r.title), r.say, r.mark, r.by]),
    [[1, 'Isolate and make safe', null, null, 'Ida Marl']],
  );
  const now = await on.ida.send<Ack>(command(id, { ...tick, planId: view.plan?.id }));
  assert.deepEqual([now.status, now.body.keptWith], [200, null]);
  const unnamed = await on.ida.send<Ack>(command(id, tick));
  assert.deepEqual([unnamed.status, unnamed.body.keptWith], [200, null]);
  assert.equal((await on.ida.repair(id)).checks.length, 2);
});

test('readings and batches of an earlier plan stay with it, and change nothing in the new one', async () => {
  const id = await planned(60);
  const plan = (await on.ida.repair(id)).plan;
  if (!plan) throw new Error('no plan');
  let mixAt = 0;
  await work(on.ida, id, Date.now() - 59 * HOUR, (act) => {
    mixAt = act.atMin;
    return act.kind === 'mix';
  });
  await planAgain(id, 'R-240');
  const batch = planBatches(plan.body)[0];
  const at = new Date(Date.now() - 59 * HOUR + mixAt * 60_000).toISOString();
  const weighed = { aG: batch?.aG ?? null, bG: batch?.bG ?? null, lot: 'L' };
  const mixed = await on.ida.send<Ack>(
    command(id, { type: 'mix.start', batchNo: 1, ...weighed, planId: plan.id, at }),
  );
  assert.deepEqual([mixed.status, mixed.body.keptWith], [200, 1], JSON.stringify(mixed.body));
  const view = await on.ida.repair(id);
  assert.deepEqual([view.station, view.mixes], ['prep', []]);
  assert.deepEqual(new Set(view.earlier.map((r) => r.plan)), new Set([1]));
  const titles = view.earlier.map((r) => word(r.title));
  assert.ok(titles.includes('Batch 1 mixed'));
  // A record that the new plan took over is listed there, once.
  const taken = [...view.checks, ...view.readings].map((r) => r.stepId);
  assert.ok(taken.includes('isolate') && !titles.includes('Isolate and make safe'));
});

test('a plan of another repair, or none, cannot be recorded on; a sign-off of an earlier plan shows the present state', async () => {
  const [id, other] = [await planned(6), await planned(6)];
  const [first, elsewhere] = [
    (await on.ida.repair(id)).plan?.id,
    (await on.ida.repair(other)).plan?.id,
  ];
  const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;
  for (const planId of [elsewhere, uuidv7()]) {
    const refused = await on.ida.send<Problem>(command(id, { ...tick, planId }));
    assert.equal(refused.status, 422);
    assert.match(refused.body.issues?.[0]?.message ?? '', /no plan of this repair/);
  }
  await planAgain(id);
  const signed = await on.ida.send<Problem & { current?: { plan?: { number: number } } }>(
    command(id, { type: 'signoff.add', verdict: 'redo', statement: 'Soft.', planId: first }),
  );
  assert.deepEqual([signed.status, signed.body.current?.plan?.number], [409, 2]);
});

test("a device's times are only claims: the server keeps its own, and its own order", async () => {
  const id = await planned(6);
  const read = (surfaceC: number, hours: number) =>
    on.ida.send(
      command(id, {
        type: 'reading.add',
        stepId: 'gate',
        values: { kind: 'ambient', airC: 20, rhPct: 50, surfaceC },
        at: ago(hours),
      }),
    );
  const before = Date.now();
  await read(21, 1);
  await read(22, 3);
  const { readings, updatedAt } = await on.ida.repair(id);
  const said = readings.map((r) => (r.values.kind === 'ambient' ? r.values.surfaceC : null));
  assert.deepEqual(said, [21, 22], 'the one that came last is last, whatever it claims');
  for (const { receivedAt } of readings) assert.ok(Date.parse(receivedAt ?? '') >= before);
  assert.ok(Date.parse(updatedAt) >= before, 'the list is in the order of the server');
});

test('a cure that the server has not seen end is signed by a planner with a reason, and by nobody else', async () => {
  const id = await planned(60);
  await work(on.ida, id, Date.now() - 59 * HOUR);
  const accepted = { type: 'signoff.add', verdict: 'accepted', statement: 'Hard.' } as const;
  const claimed = await on.ida.send<Problem>(command(id, accepted));
  assert.deepEqual(
    [claimed.status, claimed.body.title, claimed.body.issues?.[0]?.path],
    [422, 'Not cured yet by the server’s clock', 'override'],
  );
  const own = await on.ida.send<Problem>(command(id, signedAfterwards('Hard.')));
  assert.equal(own.status, 422, 'a reason of a technician is none');
  const bare = await on.tomas.send<Problem>(command(id, accepted));
  assert.equal(bare.status, 422, 'nor a planner without one');
  assert.equal((await on.tomas.send(command(id, signedAfterwards('Hard.')))).status, 200);
  const [signoff] = (await on.ida.repair(id)).signoffs;
  const me = (await on.tomas.get<Me>('/api/me')).body;
  assert.deepEqual(
    [signoff?.name, signoff?.byId, signoff?.override],
    ['Tomas Rell', me.id, 'Entered afterwards.'],
  );
});

test('where the site says so, a person who worked on it does not sign it', async () => {
  const says = (second: string) =>
    on.world.asOwner(({ pool }) => pool.query('update sites set second_signs = $1', [second]));
  await says('always');
  try {
    const id = await planned(60);
    await work(on.tomas, id, Date.now() - 59 * HOUR);
    const own = await on.tomas.send<Problem>(command(id, signedAfterwards('Hard.')));
    assert.deepEqual([own.status, own.body.title], [422, 'A second person must sign']);
    await says('approved');
    const plain = await on.tomas.send<Problem>(command(id, signedAfterwards('Hard.')));
    assert.equal(plain.status, 200, 'nobody has to approve it: it is signed by who did it');
  } finally {
    await says('approved');
  }
});
