import type { Command, RepairView } from '@kelmot/contract';
import type { Plan, Step } from '@kelmot/core';
import { m } from '@kelmot/core';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { Listening } from '@/features/run/Listening';
import { useTask, useRun } from '@/features/run/useRun';
import { OverrideForm } from '@/features/stations/OverrideForm';
import { canListen } from '@/features/speech/recognition';
import { parsePhrase } from '@/features/speech/parsePhrase';
import { listensChosen } from '@/store/settings';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { IDA, met, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore, noted } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

test.each([
  ['next', { do: 'next' }],
  ['Done.', { do: 'next' }],
  ['  Go  on ', { do: 'next' }],
  ['go back', { do: 'back' }],
  ['Say it again!', { do: 'repeat' }],
  ['17.5', { figures: ['17.5'] }],
  ['17,5 °', { figures: ['17.5'] }],
  ['81 82, 83', { figures: ['81', '82', '83'] }],
  ['seventeen point five', { figures: ['17.5'] }],
  ['seventeen point oh', null],
  ['minus four', { figures: ['-4'] }],
  ['−4', { figures: ['-4'] }],
  ['eighty one eighty two and eighty', { figures: ['81', '82', '80'] }],
  ['twenty sixty two and nineteen point two five degrees', { figures: ['20', '62', '19.25'] }],
  ['one hundred five', { figures: ['105'] }],
  ['three hundred', { figures: ['300'] }],
  ['17 point 5', { figures: ['17.5'] }],
  ['zero', { figures: ['0'] }],
  ['point', null],
  ['what comes next', null],
  ['not done', null],
  ['next week', null],
  ['', null],
] as const)('“%s” is understood as %j', (text, said) => {
  expect(parsePhrase(text)).toEqual(said);
});

/** A platform that recognises the phrases it is given. */
class Ear {
  static all: Ear[] = [];
  started = 0;
  aborted = 0;
  onresult: ((event: object) => void) | null = null;
  onerror: ((event: object) => void) | null = null;
  onend: (() => void) | null = null;
  constructor() {
    Ear.all.push(this);
  }
  start() {
    this.started += 1;
  }
  abort() {
    this.aborted += 1;
  }
  hears(transcript: string, isFinal = true) {
    const result = Object.assign([{ transcript }], { isFinal });
    act(() => this.onresult?.({ resultIndex: 0, results: [result] }));
  }
}
const ear = () => Ear.all.at(-1) as Ear;
const platform = globalThis as { SpeechRecognition?: unknown; speechSynthesis?: object };

const plan = planOf();
const first = plan.steps[0] as Step;
const AMBIENT: Plan = { ...plan, steps: [{ ...first, id: 'it', hold: { kind: 'ambient' } }] };

/** The run sheet in voice mode, at the first task of a plan. */
function Sheet({ view, body, repair }: { view: RepairView; body: Plan; repair: OpenRepair }) {
  const props = { id: view.id, view, plan: body, repair };
  const run = useRun(props);
  const task = run.tasks[run.shown ?? 0];
  if (!task) throw new Error('no task');
  return <Listening run={run} {...useTask(run, task, props)} text="Isolate it." />;
}
function sheet(body = plan) {
  const store = freshStore();
  const view = viewOf(body);
  const { sent, repair } = noted(view);
  render(
    <Provider store={store}>
      <Sheet view={view} body={body} repair={repair} />
    </Provider>,
  );
  const listens = (on: boolean) => act(() => void store.dispatch(listensChosen(on)));
  const typed = () =>
    Object.fromEntries(
      Object.entries(store.getState().drafts.texts).map(([k, v]) => [k.split('/').at(-1), v]),
    );
  return { store, sent, listens, typed };
}

beforeEach(() => {
  Ear.all = [];
  platform.SpeechRecognition = Ear;
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
  delete platform.SpeechRecognition;
  delete platform.speechSynthesis;
});

test('nothing is listened for before it is switched on, or after it is off', () => {
  const { listens } = sheet();
  expect([Ear.all.length, screen.queryByTestId('listening')]).toEqual([0, null]);
  listens(true);
  expect([ear().started, screen.getByText(/^Listening/)]).toBeTruthy();
  listens(false);
  expect([ear().aborted, screen.queryByTestId('listening')]).toEqual([1, null]);
});

test('“next” does what the button does, once despite echoes; other talk does nothing', () => {
  const { listens, sent } = sheet();
  listens(true);
  ear().hears('what is next');
  ear().hears('next', false);
  expect(sent).toEqual([]);
  ear().hears('Next.');
  ear().hears('next');
  expect(sent.map((c: Partial<Command>) => c.type)).toEqual(['check.set']);
  expect(screen.getByText('Heard: next')).toBeTruthy();
  act(() => jest.advanceTimersByTime(600));
  ear().hears('next');
  expect(sent).toHaveLength(2);
});

test('readings go into the boxes, all at once or one by one, and “next” records them', () => {
  const { listens, sent, typed } = sheet(AMBIENT);
  listens(true);
  ear().hears('twenty');
  expect(typed()).toEqual({ airC: '20' });
  ear().hears('62, 17.5');
  expect(typed()).toEqual({ airC: '20', rhPct: '62', surfaceC: '17.5' });
  ear().hears('21 60 18');
  expect(typed()).toEqual({ airC: '21', rhPct: '60', surfaceC: '18' });
  ear().hears('next');
  expect(sent).toMatchObject([
    { type: 'reading.add', values: { kind: 'ambient', airC: 21, rhPct: 60, surfaceC: 18 } },
  ]);
});

test('it ignores its own speech, restarts when the platform stops it, and reports why it cannot go on', () => {
  const { listens, sent } = sheet();
  platform.speechSynthesis = { speaking: true };
  listens(true);
  ear().hears('next');
  expect(sent).toEqual([]);
  ear().onerror?.({ error: 'no-speech' });
  act(() => ear().onend?.());
  act(() => jest.advanceTimersByTime(1000));
  expect(ear().started).toBe(2);
  act(() => ear().onerror?.({ error: 'network' }));
  act(() => ear().onend?.());
  act(() => jest.advanceTimersByTime(1000));
  expect(ear().started).toBe(2);
  expect(screen.getByText(/needs signal/)).toBeTruthy();
});

test('without platform support, nothing is listened for', () => {
  delete platform.SpeechRecognition;
  expect(canListen()).toBe(false);
  const { listens } = sheet();
  listens(true);
  expect(Ear.all).toEqual([]);
});

/** The control that skips a hold, for a role. */
function without(step: Step, role: 'planner' | 'technician') {
  const view = met(viewOf(plan), []);
  const { sent, repair } = noted(view, true, { ...IDA, role });
  render(
    <Provider store={freshStore()}>
      <OverrideForm step={step} view={view} repair={repair} />
    </Provider>,
  );
  fireEvent.press(screen.getByTestId('go-on-without'));
  return sent;
}
const gate: Step = { ...first, id: 'gate', does: 'gate', hold: { kind: 'ambient' } };

test('a planner skips a hold with a reason; others see who may, and a lock cannot be skipped', () => {
  const sent = without(gate, 'planner');
  expect(screen.getByTestId('override-hold')).toBeDisabled();
  fireEvent.changeText(screen.getByTestId('override-why'), '  No hygrometer here. ');
  fireEvent.press(screen.getByTestId('override-hold'));
  expect(sent).toEqual([
    {
      ...{ type: 'reading.add', stepId: 'gate' },
      values: { kind: 'override', why: 'No hygrometer here.' },
    },
  ]);
  screen.unmount();
  without(gate, 'technician');
  expect(screen.getByText('Only a planner can skip this, with a reason.')).toBeTruthy();
  screen.unmount();
  without({ ...gate, does: 'safe', title: m('Isolate') }, 'planner');
  expect(screen.getByText('This cannot be skipped.')).toBeTruthy();
});
