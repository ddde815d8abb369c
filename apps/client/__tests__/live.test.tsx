/** @jest-environment jsdom */
import type { LiveState } from '@kelmot/contract';
import { act, render, renderHook, screen } from '@testing-library/react-native/pure';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { IDA, planOf, viewOf } from '../../../packages/contract/test/view';
import { PresentAt, PresentHere } from '@/shared/repair/Present';
import { useLive } from '@/shared/repair/useLive';
import { api } from '@/store/api';
import { queued } from '@/store/outbox';
import { presentSeen, signalSeen } from '@/store/view';
import { freshStore } from './opened';
import { standTheClock } from './timed';

const view = viewOf(planOf());
const { id } = view;

/** A fake event stream; keeps every connection that was opened. */
class Source {
  static readonly CLOSED = 2;
  static all: Source[] = [];
  readyState = 1;
  onmessage: (event: { data: string }) => void = () => undefined;
  onerror: () => void = () => undefined;
  constructor(readonly address: string) {
    Source.all.push(this);
  }
  close = () => (this.readyState = Source.CLOSED);
  tell = (state: LiveState) => act(() => this.onmessage({ data: JSON.stringify(state) }));
}
const open = () => Source.all.filter((s) => s.readyState !== Source.CLOSED);
const TOMAS = { tab: '01936f00-0000-7000-8000-0000000000b1', id: 'tomas', name: 'Tomas Berg' };
const state = (more: Partial<LiveState> = {}): LiveState => ({
  ...{ mark: '1', updatedAt: view.updatedAt, people: [] },
  ...more,
});
const hide = (hidden: boolean) => {
  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
};

/** A page on which a repair is known and open, at a step. */
function page(step?: string) {
  const store = freshStore();
  store.dispatch(api.util.upsertQueryEntries([{ endpointName: 'repair', arg: id, value: view }]));
  const dispatched = jest.spyOn(store, 'dispatch');
  const type = api.util.invalidateTags([]).type;
  /** The ids that were fetched again, in order. */
  const asked = () =>
    dispatched.mock.calls.flatMap(([action]) =>
      (action as { type?: string }).type === type
        ? [(action as unknown as { payload: unknown }).payload]
        : [],
    );
  const shown = renderHook(({ at }: { at?: string }) => useLive(id, at), {
    initialProps: { at: step },
    wrapper: ({ children }: { children: ReactNode }) => (
      <Provider store={store}>{children}</Provider>
    ),
  });
  return { store, asked, ...shown };
}

standTheClock();
beforeEach(() => {
  Source.all = [];
  Object.assign(globalThis, { EventSource: Source });
  hide(false);
});
afterEach(() => jest.restoreAllMocks());

test('the shown step is reported, again at each change, and no longer after leaving', () => {
  const { rerender, unmount } = page('isolate');
  expect(open().map((s) => s.address)).toEqual([
    expect.stringMatching(/live\?tab=.*&step=isolate$/),
  ]);
  rerender({ at: 'clean' });
  expect(open().map((s) => s.address)).toEqual([expect.stringMatching(/&step=clean$/)]);
  unmount();
  expect(open()).toEqual([]);
});

test('changes by others are fetched; known ones are not', () => {
  const { store, asked } = page();
  const [source] = open();
  source?.tell(state({ people: [{ ...TOMAS, stepId: null }] }));
  expect(asked()).toEqual([]);
  expect(store.getState().view.present?.people[0]?.name).toBe('Tomas Berg');
  source?.tell(state({ mark: '2', updatedAt: '2030-01-01T00:00:00.000Z' }));
  expect(asked()).toEqual([['Repairs', { type: 'Repair', id }]]);
});

test('two changes at the same clock time differ by their marks', () => {
  const { asked } = page();
  open()[0]?.tell(state());
  open()[0]?.tell(state({ people: [{ ...TOMAS, stepId: null }] }));
  expect(asked()).toEqual([]);
  open()[0]?.tell(state({ mark: '2' }));
  expect(asked()).toHaveLength(1);
});

test('a hidden page receives nothing, nor does one without signal', () => {
  const { store } = page();
  hide(true);
  expect(open()).toEqual([]);
  hide(false);
  expect(open()).toHaveLength(1);
  act(() => void store.dispatch(signalSeen(false)));
  expect([open(), store.getState().view.present]).toEqual([[], null]);
});

test('a repair that only this device knows is not reported until it is sent', () => {
  const { store } = page();
  const command = { type: 'repair.create', id: 'c', repairId: id, at: '', survey: view.survey };
  const by = { id: IDA.id, name: IDA.name };
  act(() => void store.dispatch(queued({ command: command as never, by, aheadMs: 0 })));
  expect(open()).toEqual([]);
});

test('a rejected connection is tried again later; a lost one reconnects by itself', () => {
  page();
  const [source] = open();
  act(() => source?.onerror());
  act(() => void jest.advanceTimersByTime(20_000));
  expect(Source.all).toHaveLength(1);
  source?.close();
  act(() => source?.onerror());
  act(() => void jest.advanceTimersByTime(14_000));
  expect(Source.all).toHaveLength(1);
  act(() => void jest.advanceTimersByTime(2000));
  expect(open()).toHaveLength(1);
});

test('others are shown once each by initials, and in words at their step', async () => {
  const store = freshStore();
  await act(
    async () => void store.dispatch(api.util.upsertQueryData('me', undefined, IDA) as never),
  );
  const own = { tab: TOMAS.tab.replace('b1', 'b9'), id: IDA.id, name: IDA.name, stepId: 'isolate' };
  const people = [
    own,
    { ...TOMAS, stepId: 'isolate' },
    { ...TOMAS, tab: TOMAS.tab.replace('b1', 'b2'), stepId: 'clean' },
  ];
  store.dispatch(presentSeen({ repairId: id, people }));
  render(
    <Provider store={store}>
      <PresentHere id={id} />
      <PresentAt id={id} stepId="isolate" />
      <PresentAt id={id} stepId="mask" />
      <PresentHere id="another" />
    </Provider>,
  );
  expect(screen.getAllByText('TB')).toHaveLength(2);
  expect(screen.getByText('Tomas Berg is at this step too')).toBeTruthy();
  expect(screen.queryByTestId('at-mask')).toBeNull();
});
