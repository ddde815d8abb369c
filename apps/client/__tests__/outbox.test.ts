import type { Command } from '@kelmot/contract';
import {
  initialOutbox,
  keptElsewhere,
  keptRead,
  outboxReducer,
  queued,
  refused,
  retried,
  sent,
  thrownAway,
  type AnyCommand,
} from '@/store/outbox';

const save: Command = {
  id: '1',
  repairId: 'r',
  at: '2026-11-24T08:00:00Z',
  type: 'station.move',
  expect: 2,
  station: 'mix',
};
/** A command as Ida typed it, with a correct clock. */
const by = (command: AnyCommand) => ({ command, by: { id: 'ida', name: 'Ida' }, aheadMs: 0 });
const problem = { type: 'about:blank', title: 'Someone changed this repair', status: 409 };

test('a command waits once, however often it is queued, until it is sent', () => {
  let state = outboxReducer(initialOutbox, queued(by(save)));
  state = outboxReducer(state, queued(by(save)));
  expect(state.queue).toHaveLength(1);
  expect(outboxReducer(state, sent({ id: '1' })).queue).toEqual([]);
});

test('a rejected command stays with its reason; sent again it carries the present version', () => {
  let state = outboxReducer(
    outboxReducer(initialOutbox, queued(by(save))),
    refused({ id: '1', problem, current: null }),
  );
  expect(state.queue[0]?.refused?.status).toBe(409);
  state = outboxReducer(state, retried({ id: '1', expect: 5 }));
  expect(state.queue[0]).toMatchObject({ refused: null, command: { expect: 5 } });
  expect(outboxReducer(state, thrownAway('1')).queue).toEqual([]);
});

test('a record kept with an earlier plan is reported until it is read, per repair', () => {
  const of = (id: string, repairId: string) =>
    keptElsewhere({ id, repairId, type: 'check.set', plan: 1 });
  let state = [of('1', 'r'), of('2', 'r'), of('3', 'q')].reduce(outboxReducer, initialOutbox);
  expect(state.kept.map((k) => k.id)).toEqual(['1', '2', '3']);
  state = outboxReducer(state, keptRead('r'));
  expect(state.kept.map((k) => k.id)).toEqual(['3']);
});

test('an acknowledgement affects only its command; one that was removed changes nothing', () => {
  const tick: Command = {
    ...{ id: '2', repairId: 'r', at: save.at, type: 'check.set', stepId: 'isolate' },
    ...{ batchNo: null, done: true, note: '' },
  };
  const two = [queued(by(save)), queued(by(tick))].reduce(outboxReducer, initialOutbox);
  const second = outboxReducer(two, refused({ id: '2', problem, current: null }));
  expect(second.queue.map((w) => w.refused)).toEqual([null, problem]);
  expect(outboxReducer(two, refused({ id: 'gone', problem, current: null }))).toEqual(two);
  expect(outboxReducer(two, retried({ id: 'gone', expect: 9 }))).toEqual(two);
  // A command without a version gets none; a command that is not updated keeps its own.
  const again = outboxReducer(second, retried({ id: '2', expect: 9 }));
  expect(again.queue.map((w) => w.command)).toEqual([save, tick]);
  expect(again.queue[1]?.refused).toBeNull();
  expect(outboxReducer(two, retried({ id: '1' })).queue[0]?.command).toEqual(save);
});
