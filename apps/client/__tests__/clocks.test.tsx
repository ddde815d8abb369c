/** @jest-environment jsdom */
import { rowOf, type RepairRow, type RepairView } from '@kelmot/contract';
import { formatDuration, m, MINUTE, planBatches, usableMinutes } from '@kelmot/core';
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react-native/pure';
import { View } from 'react-native';
import { Provider } from 'react-redux';
import { alarm, askToNotify } from '@/features/clocks/alarm';
import { Clocks } from '@/features/clocks/Clocks';
import { OtherClocks } from '@/features/clocks/OtherClocks';
import { useRunning } from '@/features/clocks/running';
import { useWakeLock } from '@/features/clocks/useWakeLock';
import { speak } from '@/features/speech/voice';
import { setPageName } from '@/shared/ui/pageTitle';
import { useRows } from '@/shared/repairs/useBenchRows';
import { useViews } from '@/shared/repairs/useViews';
import { aloudChosen, loudChosen } from '@/store/settings';
import { Txt } from '@/shared/ui/Txt';
import { ID, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore } from './opened';
import { standTheClock } from './timed';

let mockPath = '/store';
jest.mock('expo-router', () => ({ router: { navigate: jest.fn() }, usePathname: () => mockPath }));
jest.mock('@/shared/repairs/useBenchRows', () => ({ useRows: jest.fn() }));
jest.mock('@/shared/repairs/useViews', () => ({ useViews: jest.fn(() => []) }));
jest.mock('@/features/speech/voice', () => ({ speak: jest.fn() }));
jest.mock('@/shared/ui/useZone', () => ({ useZone: () => 'UTC' }));
jest.mock('@/features/clocks/alarm', () => ({
  ...jest.requireActual<object>('@/features/clocks/alarm'),
  alarm: jest.fn(),
}));
const real = jest.requireActual<{ alarm: typeof alarm }>('@/features/clocks/alarm');

const plan = planOf();
const [batch] = planBatches(plan);
if (!batch) throw new Error('nothing is mixed');

/** A repair with one batch, mixed so many minutes ago. */
function rowWith(minutesAgo: number, placed = false): RepairRow {
  const startedAt = new Date(Date.now() - minutesAgo * MINUTE).toISOString();
  const mix: RepairView['mixes'][number] = {
    ...{ id: '01936f00-0000-7000-8000-0000000000aa', batchNo: batch?.no ?? 1 },
    ...{ aG: 1, bG: 1, deviationPct: 0, inTolerance: true, lot: 'L1' },
    ...{ startedAt, placedAt: placed ? startedAt : null, binnedAt: null },
    ...{ by: 'Ida', byId: 'ida', receivedAt: startedAt, planId: plan.survey.asset.id ?? 'p' },
  } as RepairView['mixes'][number];
  return rowOf({ ...viewOf(plan), mixes: [mix] });
}

const asked: boolean[] = [];
const release = jest.fn(() => Promise.resolve());
/** Sets what this device can do: whether the page is hidden, and the permission for notifications. */
function device({ hidden = false, permission = 'granted' } = {}) {
  const notes: [string, NotificationOptions][] = [];
  const tones: number[] = [];
  const vibrate = jest.fn();
  const Heard = class {
    static permission = permission;
    static requestPermission = jest.fn(() => Promise.resolve('granted'));
    constructor(title: string, options: NotificationOptions) {
      notes.push([title, options]);
    }
  };
  class Audio {
    currentTime = 0;
    destination = {};
    createGain = () => ({ gain: { value: 1 }, connect: jest.fn() });
    createOscillator = () => ({
      frequency: { value: 0 },
      connect: jest.fn(),
      start: (at: number) => tones.push(at),
      stop: jest.fn(),
    });
    close = () => Promise.resolve();
  }
  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });
  Object.assign(globalThis, { Notification: Heard, AudioContext: Audio });
  Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
  Object.defineProperty(navigator, 'wakeLock', {
    configurable: true,
    value: {
      request: () => {
        asked.push(true);
        return Promise.resolve({ released: false, release });
      },
    },
  });
  return { notes, tones, vibrate, Heard };
}

/** Renders the clocks over these rows, with a screen under them. */
function over(rows: RepairRow[], under = <OtherClocks />) {
  jest.mocked(useRows).mockReturnValue({ rows } as ReturnType<typeof useRows>);
  const store = freshStore();
  const drawn = () => (
    <Provider store={store}>
      <Clocks>{under}</Clocks>
    </Provider>
  );
  const shown = render(drawn());
  const goTo = (path: string) => {
    mockPath = path;
    shown.rerender(drawn());
  };
  return { store, goTo, ...shown };
}
/** Lets pending promises finish; they need no clock. */
const promises = async () => {
  for (let turn = 0; turn < 10; turn++) await Promise.resolve();
};
const goOn = (minutes: number) => act(() => void jest.advanceTimersByTime(minutes * MINUTE));

standTheClock();
beforeEach(() => {
  asked.length = 0;
  release.mockClear();
  jest.mocked(alarm).mockClear();
  jest.mocked(speak).mockClear();
  mockPath = '/store';
  device();
});

test('a moment is announced once: an urgent one interrupts', () => {
  over([rowWith(0)]);
  expect(screen.getByTestId('heard-now')).toHaveTextContent('');
  goOn(batch.lifeMin * 0.75 + 1);
  expect(screen.getByTestId('heard-now')).toHaveTextContent(
    /: Batch .*a quarter of the working life/,
  );
  expect(screen.getByTestId('heard')).toHaveTextContent('');
  expect(alarm).not.toHaveBeenCalled();
});

test('a call sounds if chosen, and says where to go', () => {
  const row = rowWith(0);
  const { store } = over([row]);
  act(() => void store.dispatch(loudChosen(true)));
  goOn(batch.lifeMin * 0.75 + 1);
  expect(alarm).toHaveBeenCalledWith(
    row.tag,
    expect.stringMatching(/quarter/),
    `/repair/${row.id}/run`,
  );
});

test('a call is read aloud if chosen; an urgent one interrupts', () => {
  const row = rowWith(0);
  const { store } = over([row]);
  act(() => void store.dispatch(aloudChosen(true)));
  goOn(batch.lifeMin * 0.75 + 1);
  expect(speak).toHaveBeenCalledTimes(1);
  const said = expect.stringMatching(`^${row.tag}: .*a quarter of the working life`);
  expect(speak).toHaveBeenCalledWith(said, { atOnce: true });
  expect(alarm).not.toHaveBeenCalled();
});

/** A repair with a wait that starts now, as this device has it. */
function drying(id = ID, tag = 'P-1', minutes = 40): RepairView {
  const [step] = plan.steps;
  if (!step) throw new Error('the plan has no steps');
  const dry = { kind: 'countdown', label: m('Dry'), minutes } as const;
  const body = { ...plan, steps: [{ ...step, title: m('Let it dry'), hold: dry }] };
  const reading = {
    ...{ id, stepId: step.id, values: { kind: 'countdown' as const }, passed: true },
    ...{ say: m('ok'), takenAt: new Date().toISOString(), receivedAt: null },
    ...{ by: 'Ida', byId: 'ida' },
  };
  const view = { ...viewOf(body), id, tag };
  return { ...view, plan: { id, number: 1, body }, readings: [reading] };
}

/** Renders the clocks over these repairs and waits until the page is idle. */
async function calmOver(views: readonly RepairView[]) {
  jest.mocked(useViews).mockImplementation((ids) => views.filter((v) => ids.includes(v.id)));
  const shown = over(views.map(rowOf));
  await act(() => jest.advanceTimersByTimeAsync(MINUTE));
  return shown;
}

test('a wait of a repair at work is called too, on any screen, once the page is idle', async () => {
  const view = drying();
  await calmOver([view]);
  goOn(38);
  expect(screen.getByTestId('heard')).toHaveTextContent('');
  goOn(2);
  expect(screen.getByTestId('heard')).toHaveTextContent(
    `${view.tag}: Let it dry: the wait is over.`,
  );
});

test('a clock shows on every screen except its own, and in the title until it ends', async () => {
  setPageName('Store');
  const view = drying();
  const shown = await calmOver([view]);
  const clocks = () => screen.queryAllByTestId(/^clock-P-1-\d+$/);
  const [station] = view.plan?.body.steps.map((s) => s.station) ?? [];
  const at: Record<string, number> = {
    ...{ '/': 1, '/store': 1, [`/repair/${view.id}/survey`]: 1, '/repair/other/run': 1 },
    ...{ [`/repair/${view.id}/run`]: 0, [`/repair/${view.id}/${station}`]: 0 },
  };
  for (const [path, count] of Object.entries(at)) {
    shown.goTo(path);
    expect([path, clocks().length]).toEqual([path, count]);
  }
  expect(document.title).toBe('39 min P-1 · Store · Kelmot');
  goOn(40);
  expect([clocks().length, document.title]).toEqual([0, 'Store · Kelmot']);
});

test('a clock of half a day shows only on the bench until its last hour', async () => {
  await calmOver([drying(ID, 'P-1', 240)]);
  const clocks = () => screen.queryAllByTestId(/^clock-P-1-\d+$/);
  expect(clocks()).toHaveLength(0);
  goOn(180);
  expect(clocks()).toHaveLength(1);
});

test('of several clocks the one that ends soonest is shown; the others are one touch away', async () => {
  const later = drying(`${ID.slice(0, -1)}2`, 'P-2');
  await act(() => jest.advanceTimersByTimeAsync(MINUTE));
  // A batch past its working life has been called out: the clock that still runs is shown first.
  const wet = rowWith(batch.lifeMin + 30);
  jest.mocked(useViews).mockImplementation((ids) => [later].filter((v) => ids.includes(v.id)));
  over([rowOf(later), { ...wet, id: 'wet', tag: 'P-9' }]);
  await act(() => jest.advanceTimersByTimeAsync(MINUTE));
  const shown = () =>
    screen
      .getAllByTestId(/^(batch|clock)-P-\d(-\d{9,})?$/)
      .map((e) => /P-\d/.exec(String(e.props.testID))?.[0]);
  expect(shown()).toEqual(['P-2']);
  fireEvent.press(screen.getByText('1 more'));
  expect(shown()).toEqual(['P-2', 'P-9']);
});

test("the clock that ends soonest is in the page title, before the screen's name", () => {
  setPageName('Store');
  const row = rowWith(0);
  const { unmount } = over([row]);
  expect(document.title).toBe(
    `${formatDuration(Math.ceil(usableMinutes(batch)))} ${row.tag} · Store · Kelmot`,
  );
  unmount();
  over([]);
  expect(document.title).toBe('Store · Kelmot');
  setPageName('Kelmot');
  expect(document.title).toBe('Kelmot');
});

test('the clock of a batch shows on every screen except its own and the bench', () => {
  const row = rowWith(1);
  const shown = over([row]);
  expect(screen.getByText(/left:/)).toBeTruthy();
  for (const own of ['/', ...['run', 'mix', 'cure'].map((at) => `/repair/${row.id}/${at}`)]) {
    shown.goTo(own);
    expect(screen.queryByText(/left:/)).toBeNull();
  }
  mockPath = '/store';
  over([rowWith(1, true)]);
  expect(screen.queryByText(/left:/)).toBeNull();
});

test('running repairs are computed once for all screens, without those that have not begun', () => {
  const Tags = () => (
    <View testID="tags">
      <Txt>{useRunning().map((row) => row.tag)}</Txt>
    </View>
  );
  const idle = { ...rowWith(0), id: 'idle', tag: 'IDLE', mixes: [] };
  const row = rowWith(1);
  over([idle, row], <Tags />);
  expect(screen.getByTestId('tags')).toHaveTextContent(row.tag);
});

test('the screen stays awake while a batch is in use, also after the page returns, and then no longer', async () => {
  const { rerender, unmount } = renderHook(({ on }: { on: boolean }) => useWakeLock(on), {
    initialProps: { on: false },
  });
  expect(asked).toHaveLength(0);
  rerender({ on: true });
  await promises();
  expect(asked).toHaveLength(1);
  document.dispatchEvent(new Event('visibilitychange'));
  expect(asked).toHaveLength(1);
  rerender({ on: false });
  expect(release).toHaveBeenCalledTimes(1);
  device({ hidden: true });
  rerender({ on: true });
  expect(asked).toHaveLength(1);
  device();
  document.dispatchEvent(new Event('visibilitychange'));
  await promises();
  expect(asked).toHaveLength(2);
  unmount();
  expect(release).toHaveBeenCalledTimes(2);
});

test('a call sounds and vibrates; it notifies if the page is hidden and permission was given', async () => {
  const seen = device();
  real.alarm('P-204', 'a quarter is left', '/repair/1/run');
  await promises();
  expect([seen.tones.length, seen.vibrate.mock.calls.length, seen.notes.length]).toEqual([2, 1, 0]);
  const away = device({ hidden: true });
  real.alarm('P-204', 'a quarter is left', '/repair/1/run');
  await promises();
  expect(away.notes).toEqual([
    [
      'P-204',
      expect.objectContaining({ body: 'a quarter is left', data: { path: '/repair/1/run' } }),
    ],
  ]);
  const denied = device({ hidden: true, permission: 'denied' });
  real.alarm('P-204', 'a quarter is left', '/repair/1/run');
  await promises();
  expect(denied.notes).toEqual([]);
});

test('permission for notifications is asked for once, if nobody has answered yet', async () => {
  const { Heard } = device({ permission: 'default' });
  await askToNotify();
  expect(Heard.requestPermission).toHaveBeenCalledTimes(1);
  const settled = device({ permission: 'denied' });
  await askToNotify();
  expect(settled.Heard.requestPermission).not.toHaveBeenCalled();
});
