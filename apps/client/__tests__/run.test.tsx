import type { RepairView } from '@kelmot/contract';
import { m, planBatches, type Plan, type Step } from '@kelmot/core';
import { act, renderHook } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { useTask, useTaskName, useRun } from '@/features/run/useRun';
import { textTyped } from '@/store/drafts';
import { ID, ida, met, planOf, viewOf } from '../../../packages/contract/test/view';

import { freshStore, noted } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

const plan = planOf();
/** Half an hour ago: what was recorded then has dried and is not yet too old. */
const AGO = new Date(Date.now() - 1_800_000).toISOString();

/** The run sheet of a repair: what it shows, what its button does, and the commands that it sends. */
function sheet(view: RepairView, { body = plan, canWrite = true, look = 0 } = {}) {
  const { sent, repair } = noted(view, canWrite);
  const store = freshStore();
  const { result, rerender } = renderHook(
    (shown: { view: RepairView }) => {
      const props = { id: view.id, view: shown.view, plan: body, repair };
      const run = useRun(props);
      const task = run.tasks[run.shown ?? 0];
      if (!task) throw new Error('no task');
      return { run, task, name: useTaskName(body)(task), ...useTask(run, task, props) };
    },
    {
      initialProps: { view },
      wrapper: ({ children }: { children: ReactNode }) => (
        <Provider store={store}>{children}</Provider>
      ),
    },
  );
  if (look) act(() => result.current.run.look((result.current.run.current ?? 0) + look));
  const becomes = (then: RepairView) => rerender({ view: then });
  return { sent, store, becomes, shown: () => result.current };
}

const step = (id: string): Step => {
  const found = plan.steps.find((s) => s.id === id);
  if (!found) throw new Error(`no step ${id}`);
  return found;
};

test('the current task is ticked by the one button; a viewer has none', () => {
  const ida = sheet(viewOf(plan));
  expect(ida.shown()).toMatchObject({ task: { id: 'isolate' }, name: 'Isolate and make safe' });
  expect(ida.shown().press).toMatchObject({
    label: 'Done: Isolate and make safe',
    disabled: false,
  });
  act(() => ida.shown().press.go());
  expect(ida.sent).toEqual([
    { type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '' },
  ]);
  expect(sheet(viewOf(plan), { canWrite: false }).shown().press.disabled).toBe(true);
});

/** The first step, ticked by somebody. */
const tickedBy = (byId: string): RepairView => ({
  ...viewOf(plan),
  checks: [
    {
      ...{ id: ID, stepId: 'isolate', batchNo: null, done: true, note: '', at: AGO },
      ...{ by: byId, byId, receivedAt: AGO },
    },
  ],
});

test("another person's work stays shown until this person goes on; their own does not", () => {
  const theirs = sheet(viewOf(plan));
  theirs.becomes(tickedBy('tomas'));
  expect(theirs.shown()).toMatchObject({ task: { id: 'isolate' } });
  expect(theirs.shown().press).toMatchObject({ testID: 'run-back-to-current', disabled: false });
  act(() => theirs.shown().press.go());
  expect([theirs.shown().task.id === 'isolate', theirs.sent]).toEqual([false, []]);
  const own = sheet(viewOf(plan));
  own.becomes(tickedBy('ida'));
  expect(own.shown().task.id).not.toBe('isolate');
});

test('a person who looks at another task stays there, whatever others do', () => {
  const looking = sheet(viewOf(plan), { look: 2 });
  const { id } = looking.shown().task;
  looking.becomes(tickedBy('tomas'));
  expect(looking.shown().task.id).toBe(id);
});

test('a later task can be read and leads back; it cannot be done early', () => {
  const ahead = sheet(viewOf(plan), { look: 2 });
  expect(ahead.shown().task.id).not.toBe('isolate');
  expect(ahead.shown().press.label).toBe('Back to: Isolate and make safe');
  act(() => ahead.shown().press.go());
  expect(ahead.sent).toEqual([]);
  expect(ahead.shown().task.id).toBe('isolate');
});

test('during a wait the next task can be done, and then the one after it is shown', () => {
  const body: Plan = {
    ...plan,
    steps: [
      { ...step('isolate'), id: 'dry', hold: { kind: 'countdown', label: m('Dry'), minutes: 60 } },
      { ...step('isolate'), id: 'mask' },
      { ...step('isolate'), id: 'template' },
    ],
    links: [],
    rounds: [],
  };
  const begun: RepairView['readings'] = [
    {
      id: ID,
      stepId: 'dry',
      values: { kind: 'countdown' },
      passed: true,
      say: m(''),
      takenAt: AGO,
      ...ida,
    },
  ];
  const fresh = viewOf(body);
  expect(sheet(fresh, { body }).shown().press.label).toBe('Start: Dry, 1 h');
  const drying = sheet({ ...fresh, readings: begun }, { body });
  expect(drying.shown().press).toMatchObject({ disabled: true });
  expect(drying.shown().press.label).toMatch(/^Wait until \d\d:\d\d/);
  act(() => drying.shown().run.look(1));
  act(() => drying.shown().press.go());
  expect(drying.sent).toMatchObject([{ type: 'check.set', stepId: 'mask', done: true }]);
  expect(drying.shown().task.id).toBe('template');
});

test('counts of a step are started by the one button, one after another, and then the step is done', () => {
  const body: Plan = {
    ...plan,
    steps: [
      {
        ...step('isolate'),
        timed: { label: m('Under the lamp'), minutes: 0.5, times: 2 },
      },
    ],
    ...{ links: [], rounds: [] },
  };
  const counted = (no: number, at: string): RepairView['readings'][number] => ({
    ...{ id: `c${no}`, stepId: 'isolate', values: { kind: 'timed', no }, passed: true },
    ...{ say: m(''), takenAt: at, ...ida },
  });
  const lamp = sheet(viewOf(body), { body });
  expect(lamp.shown().press.label).toBe('Start: Under the lamp, 1 of 2, 30 s');
  act(() => lamp.shown().press.go());
  expect(lamp.sent).toEqual([
    { type: 'reading.add', stepId: 'isolate', values: { kind: 'timed', no: 1 } },
  ]);
  lamp.becomes({ ...viewOf(body), readings: [counted(1, new Date().toISOString())] });
  expect(lamp.shown().press).toMatchObject({
    label: 'Wait: Under the lamp, 1 of 2, 30 s',
    disabled: true,
  });
  lamp.becomes({ ...viewOf(body), readings: [counted(1, AGO)] });
  expect(lamp.shown().press.label).toBe('Start: Under the lamp, 2 of 2, 30 s');
  lamp.becomes({ ...viewOf(body), readings: [counted(1, AGO), counted(2, AGO)] });
  expect(lamp.shown()).toMatchObject({
    letCountGo: null,
    press: { label: 'Done: Isolate and make safe' },
  });
});

test('a person with another clock goes on without counting', () => {
  const timed = { label: m('Held'), minutes: 10, times: 1 };
  const body: Plan = { ...plan, steps: [{ ...step('isolate'), timed }], links: [], rounds: [] };
  const run = sheet(viewOf(body), { body });
  expect(run.shown().press.label).toBe('Start: Held, 10 min');
  act(() => run.shown().letCountGo?.());
  expect(run.shown().press.label).toBe('Done: Isolate and make safe');
  expect(run.sent).toEqual([]);
});

test('a reading is recorded from its box; an invalid one stays, with its limit', () => {
  const open = met(viewOf(plan), ['prep'], AGO);
  const view = { ...open, readings: open.readings.filter((r) => r.stepId !== 'open-up') };
  const { shown, sent, store } = sheet(view);
  const type = (text: string) =>
    act(() => void store.dispatch(textTyped({ key: `${ID}/open-up/value`, text })));
  expect(shown().task.id).toBe('open-up');
  type('deep');
  act(() => shown().press.go());
  expect(shown().hold.wrong[0]).toMatch(/not a number.*3 mm or more/);
  expect(sent).toEqual([]);
  type('4');
  act(() => shown().press.go());
  expect(sent).toMatchObject([{ values: { kind: 'reading', value: 4 } }]);
  expect(shown().hold.typed('value')).toBe('');
});

test('a batch is weighed, mixed, ticked as its own, and placed by its last touch', () => {
  const ready = met(viewOf(plan), ['prep'], AGO);
  const laid = {
    ...ready,
    checks: [
      ...ready.checks,
      ...plan.steps
        .filter((s) => s.station === 'mix' && !s.eachBatch)
        .map((s) => ({
          id: s.id,
          stepId: s.id,
          batchNo: null,
          done: true,
          note: '',
          at: AGO,
          ...ida,
        })),
    ],
  };
  const weigh = sheet(laid);
  expect(weigh.shown()).toMatchObject({ task: { step: { name: 'mix' } } });
  expect(weigh.shown().press).toMatchObject({ label: 'Weigh both parts first', disabled: true });
  const [batch] = planBatches(plan);
  if (!batch) throw new Error('no batch');
  const mixes: RepairView['mixes'] = [
    {
      id: ID,
      batchNo: batch.no,
      aG: batch.aG,
      bG: batch.bG,
      deviationPct: 0,
      inTolerance: true,
      lot: '',
      startedAt: AGO,
      placedAt: null,
      binnedAt: null,
      ...ida,
    },
  ];
  const mixed = sheet({ ...laid, mixes });
  // Hours later the batch is past its working life: the only task left is to throw it away.
  const old = mixes.map((x) => ({ ...x, startedAt: new Date(Date.now() - 864e5).toISOString() }));
  const stale = sheet({ ...laid, mixes: old });
  expect(stale.shown().press.label).toBe('Throw this batch away: working life is over');
  act(() => stale.shown().press.go());
  expect(stale.sent.at(-1)).toEqual({ type: 'mix.binned', mixId: ID });
  expect(mixed.shown().press.label).toMatch(/^Done: Mix \(/);
  act(() => mixed.shown().press.go());
  expect(mixed.sent).toMatchObject([
    { type: 'station.move', station: 'mix' },
    { type: 'check.set', stepId: mixed.shown().task.step.id, batchNo: batch.no, done: true },
  ]);
  const ticked = mixed.shown().task.step.id;
  const at = new Date().toISOString();
  const checks = [
    ...laid.checks,
    { id: 'x', stepId: ticked, batchNo: batch.no, done: true, note: '', at, ...ida },
  ];
  const placing = sheet({ ...laid, station: 'build', mixes, checks });
  expect(placing.shown().task).toMatchObject({ empties: true, batch: { no: batch.no } });
  expect(placing.shown().press.label).toMatch(/^Placed: /);
  act(() => placing.shown().press.go());
  expect(placing.sent).toMatchObject([
    { type: 'check.set', batchNo: batch.no, done: true },
    { type: 'mix.placed', mixId: ID },
  ]);
});

test("a step is named with its batch, and not twice where it has its round's name", () => {
  const [round] = plan.rounds.filter((r) => r.batches.length > 0);
  const place = plan.steps.find((s) => s.round === round?.id && s.name !== 'mix' && s.eachBatch);
  const [one] = round?.batches ?? [];
  if (!round || !place || !one) throw new Error('nothing is placed');
  const two = { ...round, name: m('Mortar'), batches: [one, { ...one, no: 99 }] };
  const body = { ...plan, rounds: plan.rounds.map((r) => (r.id === round.id ? two : r)) };
  const called = (title: string, number: number): string => {
    const { result } = renderHook(() => useTaskName(body), {
      wrapper: ({ children }: { children: ReactNode }) => (
        <Provider store={freshStore()}>{children}</Provider>
      ),
    });
    const step = { ...place, title: m(title) };
    const batch = planBatches(body).find((b) => b.no === number) ?? null;
    return result.current({ id: 'x', step, batch, empties: false, fromMin: 0, toMin: 1 });
  };
  expect(called('Mortar', 99)).toBe('Mortar, 2 of 2');
  expect(called('Strike off', one.no)).toBe('Strike off (Mortar, 1 of 2)');
});
