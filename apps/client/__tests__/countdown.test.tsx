import { HOUR, MINUTE } from '@kelmot/core';
import { act, render, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { clockSeen } from '@/store/clock';
import { Countdown } from '@/shared/ui/Countdown';
import { useAtTime, useClock } from '@/shared/ui/useNow';
import { Text } from 'react-native';
import { freshStore } from './opened';

const SECOND = 1000;
beforeEach(() => jest.useFakeTimers({ now: 1_700_000_000_000 }));
afterEach(() => jest.useRealTimers());

function clockTo(leftMs: number) {
  const store = freshStore();
  render(
    <Provider store={store}>
      <Countdown to={Date.now() + leftMs} />
    </Provider>,
  );
  return store;
}
/** All that is shown, in one line. */
const shown = () =>
  [...JSON.stringify(screen.toJSON()).matchAll(/"children":\["([^"]*)"\]/g)]
    .map(([, text]) => text)
    .join(' ');
const goOn = (ms: number) => act(() => void jest.advanceTimersByTime(ms));

test('a countdown ticks by the minute, in its last hour by the second, and counts up after its end', () => {
  clockTo(HOUR + 90 * SECOND);
  expect(shown()).toBe('1 h 01 min left');
  goOn(31 * SECOND);
  expect(shown()).toBe('1 h 00 min left');
  goOn(MINUTE);
  expect(shown()).toBe('59:59 left');
  goOn(SECOND);
  expect(shown()).toBe('59:58 left');
  goOn(HOUR);
  expect(shown()).toBe('−00:02 over');
});

test("a countdown follows the site's clock, at once after a correction", () => {
  const store = clockTo(10 * MINUTE);
  const device = Date.now();
  act(
    () =>
      void store.dispatch(
        clockSeen({ server: device + 4 * MINUTE, asked: device, answered: device }),
      ),
  );
  expect(shown()).toBe('06:00 left');
});

test('an answer that arrives after sleep does not correct the clock', () => {
  const store = clockTo(10 * MINUTE);
  const device = Date.now();
  const slept = { server: device - 8 * MINUTE, asked: device - 15 * MINUTE, answered: device };
  act(() => void store.dispatch(clockSeen(slept)));
  expect(store.getState().clock.aheadMs).toBe(0);
  expect(shown()).toBe('10:00 left');
  // A clock that was set back in between does not count either.
  act(() => void store.dispatch(clockSeen({ ...slept, asked: device, answered: device - HOUR })));
  expect(shown()).toBe('10:00 left');
});

test('clocks on one screen share one timer, and the last one stops it', () => {
  const store = freshStore();
  const both = (count: number) => (
    <Provider store={store}>
      {Array.from({ length: count }, (_, i) => (
        <Countdown key={i} to={Date.now() + 5 * MINUTE} />
      ))}
    </Provider>
  );
  const { rerender } = render(both(12));
  expect(jest.getTimerCount()).toBe(1);
  rerender(both(0));
  expect(jest.getTimerCount()).toBe(0);
});

test('a change at a moment is drawn at that moment', () => {
  const end = Date.now() + 7 * SECOND;
  function Says() {
    const [now, renew] = useClock(MINUTE);
    useAtTime(end, renew);
    return <Text>{now >= end ? 'over' : 'runs'}</Text>;
  }
  render(
    <Provider store={freshStore()}>
      <Says />
    </Provider>,
  );
  goOn(6 * SECOND);
  expect(shown()).toBe('runs');
  goOn(2 * SECOND);
  expect(shown()).toBe('over');
});
