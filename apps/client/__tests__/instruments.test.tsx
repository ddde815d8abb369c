import type { Command, ReadingValues, Site } from '@kelmot/contract';
import type { Driver, Link, Sample } from '@kelmot/core/instruments/instrument';
import { instrument } from '@kelmot/core/instruments/instrument';
import type { Hold, Plan, Step } from '@kelmot/core';
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { ID, planOf, viewOf } from '../../../packages/contract/test/view';
import { ScalePour } from '@/features/instruments/ScalePour';
import { useInstrument } from '@/features/instruments/useInstrument';
import { entryOf } from '@/features/stations/entry';
import { StepList } from '@/features/stations/Steps';
import { api } from '@/store/api';
import { misbehaviourChosen } from '@/store/settings';
import { freshStore, noted } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

const plan = planOf();
const first = plan.steps[0] as Step;
const AMBIENT: Hold = { kind: 'ambient' };
const THICKNESS: Hold = { kind: 'thickness', targetMm: 4, minReadings: 5, leastShare: 0.8 };

async function storeOf(instruments: Site['instruments']) {
  globalThis.fetch = () => new Promise(() => undefined);
  const store = freshStore();
  const site = { id: ID, settings: plan.site, instruments };
  await store.dispatch(api.util.upsertQueryData('site', undefined, site));
  return store;
}

/** One step with a hold, and the commands that meet it. */
async function asking(hold: Hold, instruments: Site['instruments'] = 'simulated') {
  const store = await storeOf(instruments);
  const asked: Plan = { ...plan, steps: [{ ...first, id: 'it', hold }] };
  const { sent, repair } = noted(viewOf(asked));
  const view = { ...viewOf(asked), readings: [] };
  render(
    <Provider store={store}>
      <StepList station="prep" view={view} plan={asked} repair={repair} />
    </Provider>,
  );
  return { store, sent };
}
const valuesOf = (sent: Partial<Command>[]) =>
  (sent.at(-1) as { values: ReadingValues } | undefined)?.values;
const tap = (id: string) => act(() => void fireEvent.press(screen.getByTestId(id)));
const wait = (ms: number) => act(() => void jest.advanceTimersByTime(ms));

beforeEach(() => jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate'] }));
afterEach(() => jest.useRealTimers());

test('a gate is read by an instrument once it is steady, and recorded with the instrument', async () => {
  const { sent } = await asking(AMBIENT);
  tap('read-hygrometer');
  wait(2000);
  expect(screen.getByTestId('instrument-take')).toBeDisabled();
  tap('instrument-take');
  expect(screen.getByTestId('gate-airC').props.value).toBe('');
  wait(12_000);
  tap('instrument-take');
  expect(screen.queryByTestId('instrument')).toBeNull();
  tap('record-gate');
  const { airC, rhPct, surfaceC } = plan.survey.readings;
  const values = valuesOf(sent) as Extract<ReadingValues, { kind: 'ambient' }>;
  expect(values.instrument).toBe('Surface thermo-hygrometer, simulated');
  expect(Math.abs(values.airC - airC)).toBeLessThan(0.3);
  expect(Math.abs(values.rhPct - rhPct)).toBeLessThan(1);
  expect(Math.abs(values.surfaceC - surfaceC)).toBeLessThan(0.3);
});

test('an instrument value that is changed by hand counts as typed', async () => {
  const { sent } = await asking(AMBIENT);
  tap('read-hygrometer');
  wait(14_000);
  tap('instrument-take');
  act(() => void fireEvent.changeText(screen.getByTestId('gate-airC'), '18'));
  tap('record-gate');
  const values = valuesOf(sent) as Extract<ReadingValues, { kind: 'ambient' }>;
  expect([values.airC, values.instrument]).toEqual([18, undefined]);
});

test('several spots are taken together when there are enough, with their verdict', async () => {
  const { sent } = await asking(THICKNESS);
  tap('read-thickness');
  wait(3300);
  expect(screen.getByTestId('instrument-take')).toBeDisabled();
  wait(1000);
  expect(screen.getByText(/Mean .* lowest/)).toBeTruthy();
  tap('instrument-take');
  tap('record-it');
  const values = valuesOf(sent) as Extract<ReadingValues, { kind: 'thickness' }>;
  expect(values.valuesMm).toHaveLength(5);
  expect(values.instrument).toBe('Thickness gauge, simulated');
});

test('a faulty instrument is reported in words, announced, and cannot be used', async () => {
  const { store, sent } = await asking(AMBIENT);
  act(() => void store.dispatch(misbehaviourChosen({ id: 'hygrometer', how: 'stuck' })));
  tap('read-hygrometer');
  wait(20_000);
  expect(screen.getByTestId('instrument-state').props.role).toBe('alert');
  expect(screen.getByText(/it is stuck/)).toBeTruthy();
  tap('instrument-take');
  expect(screen.getByTestId('gate-airC').props.value).toBe('');
  tap('instrument-close');
  expect(screen.queryByTestId('instrument')).toBeNull();
  expect(sent).toEqual([]);
});

test('without a reachable instrument nothing is offered', async () => {
  await asking(AMBIENT, 'none');
  expect(screen.queryByTestId('read-hygrometer')).toBeNull();
});

test('both parts are weighed in turn with a tare between, each at its steady value', async () => {
  const store = await storeOf('simulated');
  const took: [string, number, string][] = [];
  render(
    <Provider store={store}>
      <ScalePour
        pours={[
          { name: 'Base', letter: 'A', targetG: 412 },
          { name: 'Hardener', letter: 'B', targetG: 103 },
        ]}
        take={({ letter }, text, scale) => took.push([letter, Number(text), scale])}
      />
    </Provider>,
  );
  tap('read-scale');
  // The link exists once its promise resolves.
  await act(async () => Promise.resolve());
  wait(3000);
  tap('instrument-take');
  expect(took).toEqual([]);
  expect(screen.getByText(/Add/)).toBeTruthy();
  wait(11_000);
  tap('instrument-take');
  expect(screen.getByText('Hardener weighed')).toBeTruthy();
  wait(14_000);
  tap('instrument-take');
  expect(screen.queryByTestId('instrument')).toBeNull();
  expect(took.map(([letter]) => letter)).toEqual(['A', 'B']);
  const [a, b] = took.map(([, g]) => g) as [number, number];
  expect(Math.abs(a - 412)).toBeLessThan(3);
  expect(Math.abs(b - 103)).toBeLessThan(1);
  expect(took[1]?.[2]).toMatch(/, simulated$/);
});

/** A driver that answers when the test says so, with samples from the test. */
function byHand() {
  const link = { close: jest.fn(), tare: jest.fn() };
  let heard: (sample: Sample) => void = () => undefined;
  let answer: (opened: Link | Error) => void = () => undefined;
  const driver: Driver = {
    name: 'by hand',
    open: (_, hear) => {
      heard = hear;
      return new Promise((resolve, reject) => {
        answer = (opened) => (opened instanceof Error ? reject(opened) : resolve(opened));
      });
    },
  };
  return {
    ...{ driver, link },
    send: (value: number) => act(() => heard({ at: Date.now(), values: [value], units: [''] })),
    answers: async (opened: Link | Error) => {
      await act(async () => {
        answer(opened);
        await Promise.resolve();
      });
    },
  };
}
const hooked = (driver: Driver) =>
  renderHook(() => useInstrument(instrument('thickness'), driver, [4])).result;

test('an instrument that connects after it was closed is released, and its samples are ignored', async () => {
  const { driver, link, send, answers } = byHand();
  const hook = hooked(driver);
  act(() => hook.current.open());
  act(() => hook.current.close());
  await answers(link);
  send(4);
  expect(hook.current.seen).toBeNull();
  expect(link.close).toHaveBeenCalledTimes(1);
});

test('a missing instrument is reported, and can be tried again', async () => {
  const { driver, link, send, answers } = byHand();
  const hook = hooked(driver);
  act(() => hook.current.open());
  await answers(new Error('not there'));
  expect([hook.current.failed, hook.current.seen]).toEqual([true, null]);
  act(() => hook.current.open());
  await answers(link);
  send(4.1);
  expect([hook.current.failed, hook.current.seen?.values]).toEqual([false, [4.1]]);
  act(() => hook.current.tare());
  expect(link.tare).toHaveBeenCalledTimes(1);
  expect(hook.current.seen?.values).toEqual([]);
});

test.each([
  ['4.1 4.2 4.3', [4.1, 4.2, 4.3]],
  ['4,1 4,2; 4,3', [4.1, 4.2, 4.3]],
  ['4.1, 4.2, 4.3', [4.1, 4.2, 4.3]],
  ['4.1,4.2,4.3', [4.1, 4.2, 4.3]],
  ['4.1\n4.2\r\n4.3\n', [4.1, 4.2, 4.3]],
  ['4.1;4.2;\t4.3', [4.1, 4.2, 4.3]],
  ['4,2', [4.2]],
  ['4.1 no 4.3', null],
  ['', null],
])('readings pasted as %j are read', (text, valuesMm) => {
  const step = { ...first, hold: THICKNESS };
  const read = entryOf(step, 'metric', undefined)?.read(() => text);
  if (valuesMm) expect(read).toEqual({ values: { kind: 'thickness', valuesMm } });
  else expect(read).toHaveProperty('wrong');
});
