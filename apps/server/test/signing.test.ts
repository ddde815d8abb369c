import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Problem, RepairView } from '@kelmot/contract';
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
/** A repair that was worked from its first step to its last, sixty hours ago. */
async function worked(intent: 'lasting' | 'stopgap'): Promise<string> {
  const survey = { ...surveyAt(ago(60), `S-${++made}`), intent };
  const id = await planRepair(on.ida, survey, 'R-210', ago(60));
  await work(on.ida, id, Date.now() - 59 * HOUR);
  return id;
}
const bodyOf = (view: RepairView) => {
  if (!view.plan) throw new Error('no plan');
  return view.plan.body;
};

/** The date so many days after a moment, in the site's zone. */
function dayIn(zone: string | number, at: string, days: number): string {
  const zoned = typeof zone === 'string' ? zone : 'UTC';
  const today = new Intl.DateTimeFormat('en-CA', { timeZone: zoned }).format(new Date(at));
  const then = new Date(`${today}T12:00:00Z`);
  then.setUTCDate(then.getUTCDate() + days);
  return then.toISOString().slice(0, 10);
}

test('an accepted repair is closed, and its next look is on the planned date', async () => {
  const id = await worked('lasting');
  const plan = bodyOf(await on.ida.repair(id));
  assert.ok(plan.nextLookDays > 0);
  assert.equal(plan.replaceInDays, null);
  const sign = command(id, signedAfterwards('Hard.'));
  assert.equal((await on.tomas.send(sign)).status, 200);
  const { status, station, reviews } = await on.ida.repair(id);
  assert.deepEqual([status, station], ['closed', 'accept']);
  assert.deepEqual(
    reviews.map((r) => [r.kind, r.dueOn, r.doneAt]),
    [['look', dayIn(plan.site.zone, sign.at, plan.nextLookDays), null]],
  );
});

test('a stop-gap has a replacement date beside its look', async () => {
  const id = await worked('stopgap');
  const plan = bodyOf(await on.ida.repair(id));
  assert.ok(plan.replaceInDays);
  const sign = command(id, signedAfterwards('Holds.'));
  assert.equal((await on.tomas.send(sign)).status, 200);
  const due = (days: number) => dayIn(plan.site.zone, sign.at, days);
  assert.deepEqual(
    new Map((await on.ida.repair(id)).reviews.map((r) => [r.kind, r.dueOn])),
    new Map([
      ['look', due(plan.nextLookDays)],
      ['replace', due(plan.replaceInDays)],
    ]),
  );
});

test('a second sign-off names the one it replaces; an unneeded reason is not stored', async () => {
  const id = await worked('lasting');
  const redo = { type: 'signoff.add', verdict: 'redo', statement: 'Soft.' } as const;
  for (const n of [1, 2]) {
    const again = await on.tomas.send(command(id, { ...redo, override: `Reason ${n}.` }));
    assert.equal(again.status, 200);
  }
  const { signoffs, plan, station, reviews } = await on.ida.repair(id);
  assert.deepEqual(
    signoffs.map((s) => [s.verdict, s.supersedes, s.override, s.name]),
    [
      ['redo', null, null, 'Tomas Rell'],
      ['redo', signoffs[0]?.id, null, 'Tomas Rell'],
    ],
  );
  assert.deepEqual([plan?.number, station, reviews], [3, 'prep', []]);
});

test('nothing is signed without a plan, nor twice', async () => {
  const id = await worked('lasting');
  assert.equal((await on.tomas.send(command(id, signedAfterwards('Hard.')))).status, 200);
  const twice = await on.tomas.send<Problem>(command(id, signedAfterwards('Hard.')));
  assert.equal(twice.status, 409);
  assert.match(twice.body.title, /is closed$/);
  assert.equal((await on.ida.repair(id)).signoffs.length, 1);
});

test('a batch ends once: a placed one cannot be thrown away, nor placed again', async () => {
  const survey = surveyAt(ago(60), `S-${++made}`);
  const id = await planRepair(on.ida, survey, 'R-210', ago(60));
  await work(on.ida, id, Date.now() - 59 * HOUR);
  const mixId = (await on.ida.repair(id)).mixes[0]?.id ?? '';
  for (const type of ['mix.placed', 'mix.binned'] as const) {
    const again = await on.ida.send<Problem>(command(id, { type, mixId }));
    assert.deepEqual([again.status, again.body.title], [404, 'No such running batch'], type);
  }
});
