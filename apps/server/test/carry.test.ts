import assert from 'node:assert/strict';
import { test } from 'node:test';
import { validRecords, lastPlanOf, type RepairView } from '@kelmot/contract';
import { v7 as uuidv7 } from 'uuid';
import { ago, command, HOUR, inWorld, planRepair, surveyAt, work } from './harness';

const on = inWorld('ida', 'tomas');

let made = 0;
/** A repair with finished preparation, up to the first batch. */
async function prepared(): Promise<string> {
  const id = await planRepair(on.ida, surveyAt(ago(60), `K-${++made}`), 'R-210', ago(60));
  await work(on.ida, id, Date.now() - 59 * HOUR, (act) => act.kind === 'mix');
  return id;
}

async function planAgain(id: string, cardCode = 'R-210'): Promise<RepairView> {
  const { version } = await on.tomas.repair(id);
  const again = await on.tomas.send(
    command(id, {
      ...{ type: 'plan.make', expect: version, planId: uuidv7(), cardCode },
      intent: 'lasting',
    }),
  );
  assert.equal(again.status, 200, JSON.stringify(again.body));
  return on.ida.repair(id);
}

/** The content of a record, whatever its plan. */
const said = ({ checks, readings }: Pick<RepairView, 'checks' | 'readings'>) => [
  ...checks.map((c) => [c.stepId, c.done, c.note, c.at, c.receivedAt, c.byId]),
  ...readings.map((r) => [r.stepId, r.values, r.passed, r.takenAt, r.receivedAt, r.byId]),
];

test('the same plan made again keeps all records, with author, time and order', async () => {
  const id = await prepared();
  const before = await on.ida.repair(id);
  assert.ok(before.checks.length > 3 && before.readings.length > 1);
  const after = await planAgain(id);
  assert.equal(after.plan?.number, 2);
  assert.deepEqual(said(after), said(before));
  assert.deepEqual(after.earlier, [], 'what was taken over is told once');
  const third = await planAgain(id);
  assert.deepEqual([third.plan?.number, said(third), third.earlier], [3, said(before), []]);
  const ids = [...third.checks, ...third.readings].map((r) => r.id);
  assert.equal(new Set(ids).size, ids.length);
});

test('another system keeps records of unchanged steps; the rest stays visible with its plan', async () => {
  const id = await prepared();
  const before = await on.ida.repair(id);
  const after = await planAgain(id, 'R-240');
  const last = lastPlanOf(before);
  assert.ok(last && after.plan);
  const { checks, readings, left } = validRecords(last, after.plan.body);
  assert.deepEqual(said(after), said({ checks, readings }), 'as the device said it would be');
  assert.ok(checks.some((c) => c.stepId === 'isolate'));
  assert.ok(left.length > 0, 'something of it does not stand');
  const total = before.checks.length + before.readings.length;
  assert.equal(checks.length + readings.length + after.earlier.length, total);
  assert.deepEqual(new Set(after.earlier.map((line) => line.plan)), new Set([1]));
});

test('a changed survey cancels the plan, and the next plan takes over valid records', async () => {
  const id = await prepared();
  const before = await on.ida.repair(id);
  const survey = { ...before.survey, window: { ...before.survey.window, downMin: 3000 } };
  const { version } = before;
  assert.equal(
    (await on.tomas.send(command(id, { type: 'survey.save', expect: version, survey }))).status,
    200,
  );
  const between = await on.ida.repair(id);
  assert.deepEqual([between.plan, between.checks, between.last?.number], [null, [], 1]);
  assert.ok(between.last);
  assert.deepEqual(said(between.last), said(before));
  const after = await planAgain(id);
  assert.deepEqual([said(after), after.last, after.earlier], [said(before), null, []]);
});

test('after a repair was not accepted, the new start takes over nothing', async () => {
  const id = await prepared();
  const redo = { type: 'signoff.add', verdict: 'redo', statement: 'Wrong grit.' } as const;
  const sign = command(id, redo);
  assert.equal((await on.tomas.send(sign)).status, 200);
  const anew = await on.ida.repair(id);
  assert.equal(anew.plan?.id, sign.id, 'its plan has the id of the sign-off: a device goes on');
  assert.deepEqual([anew.checks, anew.readings], [[], []]);
  assert.ok(anew.earlier.length > 3);
  assert.deepEqual(said(await planAgain(id)), []);
});

test("a command is not taken as another person's who signed in on the same device", async () => {
  const id = await prepared();
  const { id: ida } = (await on.ida.get<{ id: string }>('/api/me')).body;
  const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;
  const of = (person: string) => ({ 'kelmot-person': person });
  const send = command(id, tick);
  const refused = await on.tomas.request('POST', '/api/commands', send, of(ida));
  assert.deepEqual([refused.status, refused.body.title], [412, 'Somebody else is signed in']);
  const taken = await on.ida.request('POST', '/api/commands', send, of(ida));
  assert.equal(taken.status, 200);
  const shelf = await on.tomas.request('POST', '/api/shelf/moves', {}, of(ida));
  assert.equal(shelf.status, 412, 'asked before what is sent is looked at');
});
