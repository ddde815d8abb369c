import type { RepairView } from '@kelmot/contract';
import { m } from '@kelmot/core';
import { rowOf } from '@kelmot/contract';
import { act, render, screen } from '@testing-library/react-native';
import { createElement, type ComponentType } from 'react';
import { Provider } from 'react-redux';
import { BenchScreen } from '@/features/bench';
import { SignInScreen } from '@/features/signin';
import {
  KnowHowScreen,
  PackCoverageScreen,
  PapersScreen,
  ReferralScreen,
  RepairScreen,
  RepairsScreen,
  SettingsScreen,
  StoreScreen,
  SurveyScreen,
  ToolScreen,
} from '@/screens';
import { api } from '@/store/api';
import { makeStore } from '@/store/store';
import { card, site } from '../../../packages/core/test/fixtures';
import { ID, IDA, ida, planOf, viewOf } from '../../../packages/contract/test/view';
import { answers } from './memoryDisk';

const mockAt = { params: {} as Record<string, string>, path: '/' };
jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn(), back: jest.fn(), canGoBack: () => false },
  useLocalSearchParams: () => mockAt.params,
  usePathname: () => mockAt.path,
}));
jest.mock('react-native-gifted-charts', () => ({ LineChart: () => null }));
jest.mock('@/offline/disk', () => jest.requireActual('./memoryDisk'));
jest.mock('@/shared/repair/useLive', () => ({ useLive: () => undefined }));

/** Each screen of the application, with the parameters of its address. */
const SCREENS: Record<string, [screen: ComponentType, params?: Record<string, string>]> = {
  bench: [BenchScreen],
  repairs: [RepairsScreen],
  store: [StoreScreen],
  'know-how': [KnowHowScreen],
  settings: [SettingsScreen],
  'sign-in': [SignInScreen],
  survey: [SurveyScreen],
  tool: [ToolScreen, { tool: 'dew-point' }],
  'pack coverage': [PackCoverageScreen],
  papers: [PapersScreen, { id: ID }],
  referral: [ReferralScreen, { id: ID }],
  ...Object.fromEntries(
    ['survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept', 'run', 'handover'].map((at) => [
      `repair at ${at}`,
      [RepairScreen, { id: ID, station: at }],
    ]),
  ),
};
/** Screens that need nothing from the server but the person. */
const OF_DEVICE = ['know-how', 'settings', 'sign-in', 'survey', 'tool'];
const OF_REPAIR = Object.keys(SCREENS).filter((name) => SCREENS[name]?.[1]?.id);

const LONG = 'Long-named lime slurry transfer and circulation pump of the north clarifier';
const planned = viewOf(planOf());
const TAG = 'P-1234567890123456789';
const asset = { ...planned.survey.asset, tag: TAG, name: LONG };
const VIEW: RepairView = {
  ...planned,
  ...{ assetName: LONG, tag: TAG, survey: { ...planned.survey, asset } as RepairView['survey'] },
};

type Answer = (path: string) => Promise<Response>;
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': status < 400 ? 'application/json' : 'application/problem+json' },
  });
const DATA: Record<string, unknown> = {
  me: IDA,
  'me/here': [],
  site: { id: ID, name: site.name, settings: site, instruments: 'none' },
  assets: [],
  cards: [card],
  shelf: [],
  forecast: { source: 'none', hours: [] },
  'demo-users': [],
};
/** A server that has these repairs. */
const serverWith =
  (views: RepairView[], data: Record<string, unknown> = DATA): Answer =>
  async (path) => {
    if (path === 'repairs') return json({ rows: views.map(rowOf), next: null });
    if (path.startsWith('repairs/') && path.endsWith('/leftovers')) return json([]);
    if (path.startsWith('repairs/')) return views[0] ? json(views[0]) : json(PROBLEM, 404);
    if (path === 'air') return json(null);
    return path in data ? json(data[path]) : json([]);
  };
const PROBLEM = { type: 'about:blank', title: 'Repair not found', status: 404 };

/** Shows a screen whose server answers so; a person is signed in. */
async function show(name: string, answer: Answer): Promise<void> {
  const [view, params = {}] = SCREENS[name] ?? [];
  if (!view) throw new Error(`no screen ${name}`);
  mockAt.params = params;
  globalThis.fetch = (async (request: Request) =>
    answer(new URL(request.url).pathname.replace('/api/', ''))) as typeof fetch;
  const store = makeStore();
  await store.dispatch(api.util.upsertQueryData('me', undefined, IDA));
  render(<Provider store={store}>{createElement(view)}</Provider>);
  // Each answer takes several turns of the real loop to be read.
  for (let turn = 0; turn < 30; turn++) await act(() => new Promise((done) => setImmediate(done)));
}
beforeEach(() => answers.clear());

const shown = () => JSON.stringify(screen.toJSON());
const never: Answer = () => new Promise(() => undefined);
const offline: Answer = () => Promise.reject(new TypeError('no network'));
const refuses: Answer = async () =>
  json({ type: 'about:blank', title: 'Down for service', status: 503 }, 503);

test.each(Object.keys(SCREENS))('%s shows its data, with long names whole', async (name) => {
  await show(name, serverWith([VIEW]));
  expect(screen.queryByLabelText('Loading')).toBeNull();
  expect(screen.getAllByRole('heading').length).toBeGreaterThan(0);
  if (OF_REPAIR.includes(name) || name === 'bench' || name === 'repairs')
    expect(shown()).toContain(VIEW.tag);
  if (name === 'bench' || name === 'repairs') expect(shown()).toContain(LONG);
});

test.each(Object.keys(SCREENS).filter((name) => !OF_DEVICE.includes(name)))(
  '%s says that it is loading while it waits for the server',
  async (name) => {
    await show(name, never);
    expect(screen.getAllByLabelText('Loading').length).toBeGreaterThan(0);
  },
);

test.each([
  ['bench', 'No repair is running.'],
  ['repairs', 'None here yet.'],
  ['store', 'No cards yet.'],
])('%s says what to do where there is nothing yet', async (name, text) => {
  await show(name, serverWith([], { ...DATA, cards: [] }));
  expect(screen.getByText(text)).toBeTruthy();
});

test.each([...OF_REPAIR, 'bench', 'repairs', 'store', 'pack coverage'])(
  '%s shows the server’s reason when rejected, and a way to go on',
  async (name) => {
    await show(name, refuses);
    expect(shown()).toMatch(/Down for service/);
    expect(screen.getAllByRole('button').length).toBeGreaterThan(0);
  },
);

test.each([...OF_REPAIR, 'bench', 'repairs', 'store', 'pack coverage'])(
  '%s reports no signal where the device has nothing kept',
  async (name) => {
    await show(name, offline);
    expect(shown()).toMatch(/No signal/);
  },
);

test.each(OF_DEVICE)('%s works without signal', async (name) => {
  await show(name, offline);
  expect(screen.getAllByRole('heading').length).toBeGreaterThan(0);
});

test.each([...OF_REPAIR, 'bench', 'repairs', 'store'])(
  '%s opens without signal once it was loaded',
  async (name) => {
    await show(name, serverWith([VIEW]));
    const seen = screen.getAllByRole('heading').length;
    screen.unmount();
    await show(name, offline);
    expect(screen.queryByLabelText('Loading')).toBeNull();
    expect(screen.getAllByRole('heading')).toHaveLength(seen);
  },
);

test('a timed task is started by the main button alone, and can be timed again from its clock', async () => {
  const [first, ...rest] = planned.plan?.body.steps ?? [];
  if (!first || !planned.plan) throw new Error('no plan');
  const timed = { label: m('Held'), minutes: 10, times: 1 };
  const body = { ...planned.plan.body, steps: [{ ...first, timed }, ...rest] };
  const view: RepairView = { ...planned, plan: { ...planned.plan, body } };
  await show('repair at run', serverWith([view]));
  expect(screen.getByTestId('let-count-go')).toBeTruthy();
  expect(screen.queryByTestId(`count-${first.id}`)).toBeNull();
  screen.unmount();
  const takenAt = new Date(Date.now() - 1_800_000).toISOString();
  const counted: RepairView['readings'][number] = {
    ...{ id: ID, stepId: first.id, values: { kind: 'timed', no: 1 }, passed: true, say: m('') },
    ...{ takenAt, ...ida },
  };
  await show('repair at run', serverWith([{ ...view, readings: [counted] }]));
  expect(screen.queryByTestId('let-count-go')).toBeNull();
  expect(screen.getByTestId(`count-${first.id}`)).toBeTruthy();
});
