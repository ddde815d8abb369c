/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react-native/pure';
import { router } from 'expo-router';
import { useNotificationClicks } from '@/features/clocks/useNotificationClicks';
import { useKey } from '@/shared/ui/useKey';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

/** Presses a key on the focused element or on one part of the page. Returns whether the page handled it. */
function strike(key: string, { on = 'body', ...more }: KeyboardEventInit & { on?: string } = {}) {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  document.querySelector(on)?.dispatchEvent(event);
  return event.defaultPrevented;
}
/** Counts how often a key triggers its action. */
function listening(key: string) {
  const acted = jest.fn();
  const { rerender, unmount } = renderHook(({ act }: { act: () => void }) => useKey(key, act), {
    initialProps: { act: acted },
  });
  return { acted, rerender, unmount };
}

beforeEach(() => {
  document.body.innerHTML =
    '<input id="text" /><div id="button" role="button"><span id="inside"></span></div>';
});

test('a key acts once however long it is held, and does not scroll', () => {
  const { acted, unmount } = listening(' ');
  expect(strike(' ')).toBe(true);
  expect(strike(' ', { repeat: true })).toBe(true);
  expect(acted).toHaveBeenCalledTimes(1);
  unmount();
  strike(' ');
  expect(acted).toHaveBeenCalledTimes(1);
});

test('other keys, and those for the browser, do nothing', () => {
  const { acted, unmount } = listening('n');
  strike('m');
  for (const held of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }]) strike('n', held);
  expect(acted).not.toHaveBeenCalled();
  unmount();
});

test('keys typed into a field do not act; Escape leaves the field', () => {
  const { acted, unmount } = listening('n');
  const field = document.querySelector<HTMLElement>('#text');
  field?.focus();
  expect(strike('n', { on: '#text' })).toBe(false);
  expect(acted).not.toHaveBeenCalled();
  strike('Escape', { on: '#text' });
  expect(document.activeElement).toBe(document.body);
  unmount();
});

test('Space and Enter belong to the focused button, other keys do not', () => {
  const space = listening(' ');
  const enter = listening('Enter');
  const digit = listening('3');
  for (const on of ['#button', '#inside']) {
    strike(' ', { on });
    strike('Enter', { on });
    strike('3', { on });
  }
  expect(space.acted).not.toHaveBeenCalled();
  expect(enter.acted).not.toHaveBeenCalled();
  expect(digit.acted).toHaveBeenCalledTimes(2);
  for (const { unmount } of [space, enter, digit]) unmount();
});

test('while an overlay must be handled, the page’s keys are off', () => {
  const { acted, unmount } = listening(' ');
  document.body.insertAdjacentHTML('beforeend', '<div id="over" aria-modal="true"></div>');
  strike(' ', { on: '#over' });
  strike(' ');
  expect(acted).not.toHaveBeenCalled();
  document.getElementById('over')?.remove();
  strike(' ');
  expect(acted).toHaveBeenCalledTimes(1);
  unmount();
});

test('a key does what the screen says now', () => {
  const { acted, rerender, unmount } = listening('n');
  const later = jest.fn();
  rerender({ act: later });
  strike('n');
  expect([acted.mock.calls.length, later.mock.calls.length]).toEqual([0, 1]);
  unmount();
});

test('a touched notification opens its address in the open page; other messages are ignored', () => {
  const worker = new EventTarget();
  Object.defineProperty(navigator, 'serviceWorker', { value: worker, configurable: true });
  const { unmount } = renderHook(() => useNotificationClicks());
  const says = (data: unknown) => worker.dispatchEvent(new MessageEvent('message', { data }));
  says(null);
  says({ type: 'CACHE_UPDATED' });
  expect(router.navigate).not.toHaveBeenCalled();
  says({ goTo: '/repair/1/run' });
  expect(router.navigate).toHaveBeenCalledWith('/repair/1/run');
  unmount();
  says({ goTo: '/store' });
  expect(router.navigate).toHaveBeenCalledTimes(1);
});
