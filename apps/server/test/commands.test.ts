import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import type { Ack, Problem, RepairView } from '@kelmot/contract';
import { demoPhoto, meets } from '@kelmot/demo';
import { planBatches, type Step } from '@kelmot/core';
import { sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import {
  command,
  openWorld,
  planRepair,
  signedAfterwards,
  surveyAt,
  work,
  type Answer,
  type Person,
  type World,
} from './harness';

let world: World;
let ida: Person;
const HOUR = 3_600_000;
const ago = (hours: number) => new Date(Date.now() - hours * HOUR).toISOString();

before(async () => {
  world = await openWorld();
  ida = await world.person().signIn('ida');
});
after(() => world.close());

/** A repair with a plan; its survey and plan are from `hours` ago. */
const planned = (hours: number, tag = `T-${Math.random().toString(36).slice(2, 8)}`) =>
  planRepair(ida, surveyAt(ago(hours), tag), 'R-210', ago(hours));

/** Meets every hold of a plan that `which` selects, at a moment. */
async function meet(id: string, which: (step: Step) => boolean, at: string): Promise<void> {
  const { plan } = await ida.repair(id);
  if (!plan) throw new Error('no plan');
  for (const step of plan.body.steps.filter((s) => s.hold && which(s))) {
    if (!step.hold) continue;
    const answer: Answer<unknown> = await ida.send(
      command(id, { ...meets(step.hold, step.id, plan.body), at }),
    );
    assert.equal(answer.status, 200, JSON.stringify(answer.body));
  }
}

test('a repair goes from survey to acceptance, and reads back complete', async () => {
  const id = await planned(60);
  await work(ida, id, Date.now() - 59 * HOUR);
  const other = await world.person().signIn('tomas');
  const signed = await other.send(command(id, signedAfterwards('Flush and hard.')));
  assert.equal(signed.status, 200, JSON.stringify(signed.body));
  const view = await ida.repair(id);
  assert.equal(view.status, 'closed');
  assert.equal(view.signoffs[0]?.name, 'Tomas Rell');
  assert.equal(view.reviews[0]?.kind, 'look');
  assert.ok(
    (view.plan?.body.figures.total?.working.length ?? 0) > 2,
    'the plan is saved with its working',
  );
  const late = await ida.send(
    command(id, { type: 'check.set', stepId: 'isolate', batchNo: null, done: false, note: '' }),
  );
  assert.equal(late.status, 409, 'a closed repair takes no more');
});

test('a tick names its batch where a step is done per batch, and none otherwise', async () => {
  const id = await planned(60);
  const { plan } = await ida.repair(id);
  const mix = plan?.body.steps.find((s) => s.name === 'mix');
  assert.ok(mix);
  const tick = (stepId: string, batchNo: number) =>
    ida.send<Problem>(command(id, { type: 'check.set', stepId, batchNo, done: true, note: '' }));
  assert.equal((await tick(mix.id, 1)).status, 200);
  assert.equal((await ida.repair(id)).checks.at(-1)?.batchNo, 1);
  const [wrong, none] = [await tick(mix.id, 999), await tick('isolate', 1)];
  for (const refused of [wrong, none]) {
    assert.equal(refused.status, 422);
    assert.equal(refused.body.issues?.[0]?.path, 'batchNo');
  }
  assert.match(wrong.body.issues?.[0]?.message ?? '', /^must be 1.* or null for the step/);
  assert.match(none.body.issues?.[0]?.message ?? '', /must be null/);
  // A tick without a batch, as before, is for the whole step.
  const plain = command(id, {
    type: 'check.set',
    stepId: 'isolate',
    done: true,
    note: '',
  } as never);
  assert.equal((await ida.send(plain)).status, 200);
  assert.equal((await ida.repair(id)).checks.at(-1)?.batchNo, null);
});

test('a step takes only what it needs: a tick, a reading of its kind, a picture', async () => {
  const id = await planned(3);
  const title = async (draft: object) => {
    const { status, body } = await ida.send<Problem>(command(id, draft as never));
    return [status, body.title, body.issues?.[0]?.path];
  };
  const tick = { type: 'check.set', done: true, note: '' };
  assert.deepEqual(await title({ ...tick, stepId: 'gate' }), [
    422,
    'Dew point gate asks for a reading',
    undefined,
  ]);
  const five = { type: 'reading.add', values: { kind: 'reading', value: 5 } };
  for (const stepId of ['gate', 'isolate'])
    assert.deepEqual(await title({ ...five, stepId }), [422, 'Input out of range', 'values.kind']);
  assert.deepEqual(await title({ type: 'photo.add', ...demoPhoto, stepId: 'isolate' }), [
    422,
    'Input out of range',
    'stepId',
  ]);
  const view = await ida.repair(id);
  assert.deepEqual([view.checks, view.readings], [[], []]);
});

test('a command sent twice, even simultaneously, has one effect', async () => {
  const id = await planned(3);
  const tick = command(id, {
    type: 'check.set',
    stepId: 'isolate',
    batchNo: null,
    done: true,
    note: 'once',
  });
  const answers = await Promise.all([
    ida.send<Ack>(tick),
    ida.send<Ack>(tick),
    ida.send<Ack>(tick),
  ]);
  assert.deepEqual(
    answers.map((a) => a.status),
    [200, 200, 200],
  );
  assert.equal((await ida.repair(id)).checks.length, 1);
  const stolen = await ida.send({
    ...tick,
    type: 'station.move',
    expect: 2,
    station: 'survey',
  } as never);
  assert.notEqual(stolen.status, 200, 'an id cannot be used for something else');
});

test('an old edit gets 409 with both states, and nothing is lost', async () => {
  const id = await planned(3);
  const tomas = await world.person().signIn('tomas');
  const before = await ida.repair(id);
  const survey = (downMin: number) => ({
    ...before.survey,
    window: { ...before.survey.window, downMin },
  });
  assert.equal(
    (
      await tomas.send(
        command(id, { type: 'survey.save', expect: before.version, survey: survey(3000) }),
      )
    ).status,
    200,
  );
  const stale = await ida.send<Problem & { current: RepairView }>(
    command(id, { type: 'survey.save', expect: before.version, survey: survey(4000) }),
  );
  assert.equal(stale.status, 409);
  assert.equal(stale.body.current.survey.window.downMin, 3000);
  assert.equal((await ida.repair(id)).survey.window.downMin, 3000);
});

test('two people who tick at once both keep their tick', async () => {
  const id = await planned(3);
  const tomas = await world.person().signIn('tomas');
  const [a, b] = await Promise.all([
    ida.send(
      command(id, { type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '' }),
    ),
    tomas.send(
      command(id, { type: 'check.set', stepId: 'degrease', batchNo: null, done: true, note: '' }),
    ),
  ]);
  assert.deepEqual([a.status, b.status], [200, 200]);
  assert.deepEqual((await ida.repair(id)).checks.map((c) => c.stepId).sort(), [
    'degrease',
    'isolate',
  ]);
});

test('no mixing while a hold is open, off ratio, or out of order', async () => {
  const id = await planned(3);
  const { plan } = await ida.repair(id);
  const b = plan && planBatches(plan.body)[0];
  assert.ok(b);
  const instrument = 'Scale, simulated';
  const start = (aG: number | null, bG: number | null) =>
    ida.send<Problem>(command(id, { type: 'mix.start', batchNo: 1, aG, bG, lot: '', instrument }));
  const early = await start(b.aG, b.bG);
  assert.equal(early.status, 422);
  assert.match(early.body.detail ?? '', /Isolate and make safe/);
  await meet(id, (step) => step.station === 'prep' || step.station === 'mix', ago(1));
  await ida.send(
    command(id, {
      type: 'reading.add',
      stepId: 'gate',
      values: { kind: 'ambient', airC: 20, rhPct: 84, surfaceC: 17 },
    }),
  );
  assert.match(
    (await start(b.aG, b.bG)).body.detail ?? '',
    /Dew point gate/,
    'a later failed gate stops it again',
  );
  await ida.send(
    command(id, {
      type: 'reading.add',
      stepId: 'gate',
      values: { kind: 'ambient', airC: 18, rhPct: 50, surfaceC: 17.4 },
    }),
  );
  const off = await start(b.aG, (b.bG ?? 0) * 0.9);
  assert.equal(off.status, 422);
  assert.equal(off.body.issues?.[0]?.path, 'bG');
  assert.match(off.body.issues?.[0]?.message ?? '', /^add [\d.]+ g hardener$/);
  assert.equal((await start(b.aG, b.bG)).status, 200);
  assert.equal((await start(b.aG, b.bG)).status, 409, 'a batch is mixed once');
  const { survey, mixes } = await ida.repair(id);
  assert.equal(mixes[0]?.instrument, instrument, 'the scale that weighed it is kept with it');
  assert.equal(
    (await ida.send(command(id, { type: 'survey.save', expect: 2, survey }))).status,
    409,
    'the survey stands once mixing has begun',
  );
});

test('an uncured repair cannot be accepted, and doing it again keeps both records', async () => {
  const id = await planned(6);
  let placed = 0;
  await work(ida, id, Date.now() - 6 * HOUR, (act, plan) => {
    placed += act.kind === 'placed' ? 1 : 0;
    return act.kind === 'hold' && placed === planBatches(plan).length;
  });
  await meet(id, (step) => ['build', 'cure', 'accept'].includes(step.station), ago(0.1));
  const soon = await ida.send<Problem>(
    command(id, { type: 'signoff.add', verdict: 'accepted', statement: 'Looks hard.' }),
  );
  assert.equal(soon.status, 422);
  assert.equal(soon.body.title, 'Not cured yet');
  assert.equal(
    (
      await ida.send(
        command(id, {
          type: 'signoff.add',
          verdict: 'redo',
          statement: 'Soft spot at six o’clock.',
        }),
      )
    ).status,
    200,
  );
  const view = await ida.repair(id);
  assert.equal(view.plan?.number, 2);
  assert.equal(view.station, 'prep');
  assert.equal(view.checks.length, 0, 'the new plan starts clean');
  const kept = await world.database.db.execute(
    sql`select count(*)::int as n from mixes where repair_id = ${id}`,
  );
  assert.ok(Number(kept.rows[0]?.n) > 0, 'the old record stays');
});

test('a signer has seen what is signed: a plan changed in between is rejected with the present state', async () => {
  const id = await planned(60);
  await work(ida, id, Date.now() - 59 * HOUR);
  const seen = (await ida.repair(id)).version;
  const tomas = await world.person().signIn('tomas');
  const moved = { type: 'station.move', expect: seen, station: 'cure' } as const;
  assert.equal((await tomas.send(command(id, moved))).status, 200);
  const sign = (expect: number) =>
    tomas.send<Problem & { current?: { version: number } }>(
      command(id, { ...signedAfterwards('Hard.'), expect }),
    );
  const stale = await sign(seen);
  assert.deepEqual([stale.status, stale.body.current?.version], [409, seen + 1]);
  assert.equal((await ida.repair(id)).status, 'open');
  assert.equal((await sign(seen + 1)).status, 200);
});

test('a time before the repair, or a batch that ends before it starts, means a wrong clock', async () => {
  const id = await planned(6);
  const tick = {
    type: 'check.set',
    stepId: 'isolate',
    batchNo: null,
    done: true,
    note: '',
  } as const;
  const early = await ida.send<Problem>(command(id, { ...tick, at: ago(7) }));
  assert.deepEqual([early.status, early.body.issues?.[0]?.path], [422, 'at']);
  assert.equal((await ida.repair(id)).checks.length, 0);
  // A small difference between clocks is accepted.
  assert.equal((await ida.send(command(id, { ...tick, at: ago(6.1) }))).status, 200);
  await work(ida, id, Date.now() - 5.9 * HOUR, (act) => act.kind === 'placed');
  const mixId = (await ida.repair(id)).mixes[0]?.id ?? '';
  const placed = await ida.send<Problem>(command(id, { type: 'mix.placed', mixId, at: ago(5.9) }));
  assert.deepEqual([placed.status, placed.body.title], [422, 'This batch was not mixed yet']);
  assert.equal((await ida.repair(id)).mixes[0]?.placedAt, null);
});

test('a station cannot be passed while something before it is open; going back is free', async () => {
  const id = await planned(3);
  const ahead = await ida.send<Problem>(
    command(id, { type: 'station.move', expect: 2, station: 'cure' }),
  );
  assert.equal(ahead.status, 422);
  assert.match(ahead.body.detail ?? '', /Isolate and make safe/);
  assert.equal(
    (await ida.send(command(id, { type: 'station.move', expect: 2, station: 'match' }))).status,
    200,
  );
});

test('a future time, a card that does not fit and a missing step are rejected by name', async () => {
  const id = await planned(3);
  const future = await ida.send<Problem>(
    command(id, {
      type: 'check.set',
      at: new Date(Date.now() + HOUR).toISOString(),
      stepId: 'isolate',
      batchNo: null,
      done: true,
      note: '',
    }),
  );
  assert.equal(future.body.issues?.[0]?.path, 'at');
  const ghost = await ida.send<Problem>(
    command(id, { type: 'check.set', stepId: 'dance', batchNo: null, done: true, note: '' }),
  );
  assert.equal(ghost.body.issues?.[0]?.path, 'stepId');
  const misfit = await ida.send<Problem>(
    command(id, {
      type: 'plan.make',
      expect: 2,
      planId: uuidv7(),
      cardCode: 'R-250',
      intent: 'lasting',
      schools: {},
      seconds: {},
    }),
  );
  assert.equal(misfit.status, 422);
  assert.match(misfit.body.detail ?? '', /°C/);
});
