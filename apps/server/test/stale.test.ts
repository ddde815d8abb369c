import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Ack, Command, Problem, RepairView } from '@kelmot/contract';
import { CLOCK_SLACK } from '@kelmot/contract';
import { v7 as uuidv7 } from 'uuid';
import { command, inWorld, planRepair, surveyAt, type Person } from './harness';

const on = inWorld('ida', 'tomas');
const MINUTE = 60_000;
const iso = (ms: number) => new Date(ms).toISOString();

let made = 0;
const CREATED = Date.now() - 3 * 60 * MINUTE;
const planned = () =>
  planRepair(on.ida, surveyAt(iso(CREATED), `C-${++made}`), 'R-210', iso(CREATED));

/** Every write with an expected version, as one draft. */
const writes: [Command['type'], (view: RepairView) => object][] = [
  ['survey.save', (view) => ({ type: 'survey.save', survey: view.survey })],
  [
    'plan.make',
    () => ({ type: 'plan.make', planId: uuidv7(), cardCode: 'R-210', intent: 'lasting' }),
  ],
  ['station.move', () => ({ type: 'station.move', station: 'survey' })],
  ['signoff.add', () => ({ type: 'signoff.add', verdict: 'redo', statement: 'Soft.' })],
];

for (const [type, draft] of writes)
  test(`${type} from an older version than the newest is refused with what is now, from a newer one too, and then goes through once`, async () => {
    const id = await planned();
    const seen = await on.ida.repair(id);
    const send = (who: Person, expect: number) =>
      who.send<Ack & Problem & { current?: RepairView }>(
        command(id, { ...draft(seen), expect } as never),
      );
    assert.equal(
      (
        await on.tomas.send(
          command(id, { type: 'station.move', expect: seen.version, station: 'match' }),
        )
      ).status,
      200,
    );
    const now = await on.ida.repair(id);
    assert.equal(now.version, seen.version + 1);
    for (const expect of [seen.version, now.version + 1]) {
      const refused = await send(on.ida, expect);
      assert.deepEqual([refused.status, refused.body.current?.version], [409, now.version], type);
      assert.deepEqual((await on.ida.repair(id)).version, now.version, 'nothing was written');
    }
    const done = await send(on.ida, now.version);
    assert.deepEqual([done.status, done.body.version], [200, now.version + 1]);
    const again = await send(on.ida, now.version);
    assert.equal(again.status, 409, 'the version it came from is gone');
  });

const tick = { type: 'check.set', stepId: 'isolate', done: true, note: '' } as const;

test('a clock may be ahead of the server by the tolerance, and not a minute more', async () => {
  const id = await planned();
  const at = (ms: number) =>
    on.ida.send<Problem>(command(id, { ...tick, at: iso(Date.now() + CLOCK_SLACK + ms) }));
  assert.equal((await at(-MINUTE)).status, 200);
  const ahead = await at(MINUTE);
  assert.deepEqual(
    [ahead.status, ahead.body.title, ahead.body.issues?.[0]?.path],
    [422, 'This moment has not come yet', 'at'],
  );
  assert.equal((await on.ida.repair(id)).checks.length, 1);
});

test('a clock may be behind the repair by the tolerance, and not a minute more', async () => {
  const id = await planned();
  const named = (await on.ida.repair(id)).plan?.id;
  for (const planId of [named, undefined]) {
    const at = (ms: number) =>
      on.ida.send<Problem>(command(id, { ...tick, planId, at: iso(CREATED - CLOCK_SLACK + ms) }));
    assert.equal((await at(0)).status, 200, 'at the very end of it');
    const behind = await at(-MINUTE);
    assert.deepEqual([behind.status, behind.body.issues?.[0]?.path], [422, 'at']);
    assert.match(behind.body.title, /was not there yet/);
  }
  // The same for commands that read the repair's present state.
  const move = { type: 'station.move', expect: 2, station: 'match' } as const;
  const late = await on.ida.send<Problem>(
    command(id, { ...move, at: iso(CREATED - CLOCK_SLACK - MINUTE) }),
  );
  assert.deepEqual([late.status, late.body.issues?.[0]?.path], [422, 'at']);
  assert.equal((await on.ida.repair(id)).checks.length, 2);
});

test('an id that another person used, for a command or a record, is not answered as theirs', async () => {
  const id = await planned();
  const { version } = await on.ida.repair(id);
  const move = command(id, { type: 'station.move', expect: version, station: 'match' });
  const record = command(id, tick);
  for (const own of [move, record]) {
    const first = await on.ida.send<Ack>(own);
    assert.equal(first.status, 200);
    const taken = await on.tomas.send<Problem>(own);
    assert.deepEqual(
      [taken.status, taken.body.title],
      [409, 'This id was used for something else'],
    );
    assert.deepEqual((await on.ida.send<Ack>(own)).body, first.body);
  }
});
