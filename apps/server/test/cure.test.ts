import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CURE, storyOf, type Problem, type RepairPage } from '@kelmot/contract';
import { word } from '@kelmot/core';
import { ago, command, HOUR, inWorld, planRepair, surveyAt, work } from './harness';

const on = inWorld('ida');
const summaryIn = async (id: string) => {
  const { body } = await on.ida.get<RepairPage>('/api/repairs?status=open&limit=100');
  const row = body.rows.find((r) => r.id === id);
  const summary = row?.summary;
  return summary?.rounds.find((r) => r.id === summary.mainRound)?.milestones ?? [];
};

test("a logger's readings are stored, told, and move the list's clocks; impossible ones are rejected", async () => {
  const id = await planRepair(on.ida, surveyAt(ago(60), 'R-31'), 'R-210', ago(60));
  await work(on.ida, id, Date.now() - 59 * HOUR);
  const before = await summaryIn(id);
  const log = (hours: number, tempC: number, more: object = {}) => ({
    type: 'reading.add' as const,
    stepId: CURE,
    values: {
      kind: 'temperatures' as const,
      from: ago(hours),
      rows: [
        { atMin: 0, tempC: tempC + 2, otherC: tempC },
        { atMin: 3000, tempC: tempC + 1 },
      ],
      instrument: 'Cure logger, simulated',
    },
    ...more,
  });
  const sent = await on.ida.send(command(id, log(59, 6)));
  assert.equal(sent.status, 200);
  const view = await on.ida.repair(id);
  const line = storyOf(view).find((l) => word(l.title) === 'Temperature of the repair');
  assert.match(
    line?.say ? word(line.say) : '',
    /^6 °C to 7 °C over 2 d 2 h, 2 readings\. Read by Cure logger, simulated\.$/,
  );
  const after = await summaryIn(id);
  const needed = (all: typeof before) => Math.max(...all.map((x) => x.minutes));
  assert.ok(needed(after) > needed(before) * 1.2, `${needed(before)} became ${needed(after)}`);

  const refused = async (draft: ReturnType<typeof log>) => {
    const { status, body } = await on.ida.send<Problem>(command(id, draft));
    return [status, body.issues?.[0]?.path];
  };
  assert.deepEqual(await refused(log(40, 6)), [422, 'values.rows.1.atMin'], 'not over yet');
  assert.deepEqual(await refused(log(59, 6, { stepId: 'gate' })), [422, 'stepId']);
  assert.equal((await on.ida.repair(id)).readings.length, view.readings.length);
});
