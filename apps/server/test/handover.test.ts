import assert from 'node:assert/strict';
import { test } from 'node:test';
import { HANDOVER, storyOf, lastHandover, type Problem } from '@kelmot/contract';
import { word } from '@kelmot/core';
import { ago, command, inWorld, planRepair, surveyAt } from './harness';

const on = inWorld('ida', 'tomas');
const reading = (values: object, stepId: string = HANDOVER) =>
  ({ type: 'reading.add', stepId, values }) as never;

test('a handover and its takeover are lines of the record by their authors; non-text is rejected', async () => {
  const id = await planRepair(on.ida, surveyAt(ago(3), 'R-31'), 'R-210', ago(3));
  const told = { kind: 'handed-over', note: 'Key at the gate.', parts: [] as object[] };
  const parts = [{ part: 'stands', lines: ['0 of 25 done.'] }];
  assert.equal((await on.ida.send(command(id, reading({ ...told, parts })))).status, 200);
  const left = await on.tomas.repair(id);
  assert.deepEqual(lastHandover(left)?.parts, parts);
  assert.equal(lastHandover(left)?.note, 'Key at the gate.');

  const refused = async (draft: never) => {
    const { status, body } = await on.tomas.send<Problem>(command(id, draft));
    return [status, body.issues?.[0]?.path];
  };
  const taken = { kind: 'taken-over' };
  assert.deepEqual(await refused(reading(taken, 'isolate')), [422, 'stepId']);
  const long = [{ part: 'stands', lines: ['x'.repeat(2001)] }];
  assert.deepEqual(await refused(reading({ ...told, parts: long })), [
    422,
    'values.parts.0.lines.0',
  ]);

  assert.equal((await on.tomas.send(command(id, reading(taken)))).status, 200);
  const view = await on.ida.repair(id);
  assert.equal(lastHandover(view), null);
  assert.deepEqual(
    storyOf(view).map(({ title, by }) => [word(title), by]),
    [
      ['Handed over', 'Ida Marl'],
      ['Taken over', 'Tomas Rell'],
    ],
  );
});
