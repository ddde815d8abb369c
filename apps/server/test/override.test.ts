import assert from 'node:assert/strict';
import { test } from 'node:test';
import { storyOf, type Me, type Problem } from '@kelmot/contract';
import { word } from '@kelmot/core';
import { ago, command, inWorld, planRepair, surveyAt, type Person } from './harness';

const on = inWorld('ida', 'tomas');

test('a planner skips a hold with a reason, and it is marked; nobody else may, and never a lock', async () => {
  const id = await planRepair(on.ida, surveyAt(ago(3), 'R-9'), 'R-210', ago(3));
  const { plan } = await on.ida.repair(id);
  const safe = plan?.body.steps.find((s) => s.does === 'safe');
  const gate = plan?.body.steps.find((s) => s.hold?.kind === 'ambient');
  assert.ok(safe && gate);
  const override = (who: Person, stepId: string, why = 'No hygrometer on this shift.') =>
    who.send<Problem>(
      command(id, { type: 'reading.add', stepId, values: { kind: 'override', why } }),
    );
  const hers = await override(on.ida, gate.id);
  assert.deepEqual(
    [hers.status, hers.body.title],
    [422, 'Only a planner can skip this, with a reason'],
  );
  const lock = await override(on.tomas, safe.id);
  assert.deepEqual([lock.status, lock.body.title], [422, 'This cannot be skipped']);
  assert.equal((await override(on.tomas, gate.id, 'no')).status, 422, 'two letters are no reason');
  assert.deepEqual((await on.ida.repair(id)).readings, []);
  assert.equal((await override(on.tomas, gate.id)).status, 200);
  const view = await on.ida.repair(id);
  const [line] = storyOf(view);
  assert.deepEqual(
    [line?.mark, line?.by, line?.say && word(line.say)],
    [
      'override',
      (await on.tomas.get<Me>('/api/me')).body.name,
      'Skipped: No hygrometer on this shift.',
    ],
  );
});
