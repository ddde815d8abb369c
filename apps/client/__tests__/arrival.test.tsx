/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react-native/pure';
import { useWindowDimensions } from 'react-native';
import { pageTitle } from '@/shared/ui/pageTitle';
import { useScreenFocus } from '@/features/frame/useScreenFocus';
import { useLayout, useMargins } from '@/shared/ui/layout';
import { useDialog } from '@/shared/ui/useDialog';
import { standTheClock } from './timed';

let mockPath = '/';
jest.mock('expo-router', () => ({ usePathname: () => mockPath }));
jest.mock('react-native/Libraries/Utilities/useWindowDimensions', () => ({
  __esModule: true,
  default: jest.fn(() => ({ width: 390, height: 844, scale: 1, fontScale: 1 })),
}));

const screenOf = (heading: string, more = '') => {
  document.body.innerHTML = `<main role="main">${heading}${more}</main>`;
};
const settle = () => act(() => void jest.advanceTimersByTime(200));
const focused = () => document.activeElement?.id || document.activeElement?.tagName;

standTheClock();
beforeEach(() => {
  mockPath = '/';
});

/** A page on its first screen, then at another address. */
function page() {
  screenOf('<h1>Bench</h1>');
  const { rerender } = renderHook(({ who }: { who: string }) => useScreenFocus(who), {
    initialProps: { who: 'ida' },
  });
  settle();
  return (to: string, who = 'ida') => {
    mockPath = to;
    rerender({ who });
  };
}

test('the first screen names the page and does not move the focus', () => {
  page();
  expect([document.title, focused()]).toEqual(['Bench · Kelmot', 'BODY']);
});

test('another screen names the page and focuses its heading, once it is there', () => {
  const go = page();
  document.body.innerHTML = '';
  go('/store');
  settle();
  expect(document.title).toBe('Bench · Kelmot');
  screenOf('<h1>Store</h1>');
  settle();
  expect([document.title, focused()]).toEqual(['Store · Kelmot', 'H1']);
});

test('a heading can have a longer title for the page', () => {
  const { dataSet } = pageTitle('Prep, P-204') as { dataSet: { title: string } };
  const go = page();
  screenOf(`<h1 data-title="${dataSet.title}">Worn wall</h1>`);
  go('/repair/1/prep');
  settle();
  expect(document.title).toBe('Prep, P-204 · Kelmot');
});

test('a person who types, or has moved the focus already, keeps it', () => {
  const go = page();
  screenOf('<h1>New</h1>', '<input id="tag" /><div id="figure" tabindex="0"></div>');
  go('/new');
  document.getElementById('tag')?.focus();
  settle();
  expect(focused()).toBe('tag');
  go('/repair/1/match');
  document.getElementById('figure')?.focus();
  settle();
  expect(focused()).toBe('figure');
});

test('another person at the same address counts as another screen', () => {
  const go = page();
  screenOf('<h1>Kelmot</h1>');
  go('/', 'tomas');
  settle();
  expect([document.title, focused()]).toEqual(['Kelmot', 'H1']);
});

test('Escape closes an overlay and returns the focus; one that cannot be closed stays', () => {
  screenOf('<h1>Match</h1>', '<div id="figure" tabindex="0"></div>');
  const close = jest.fn();
  const { rerender } = renderHook(
    ({ open, on }: { open: boolean; on?: () => void }) => useDialog(open, on),
    { initialProps: { open: false, on: close } as { open: boolean; on?: () => void } },
  );
  const escape = () =>
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', cancelable: true }));
  escape();
  expect(close).not.toHaveBeenCalled();
  document.getElementById('figure')?.focus();
  rerender({ open: true, on: close });
  document.getElementById('figure')?.blur();
  document.dispatchEvent(new KeyboardEvent('keydown', { key: 'x' }));
  escape();
  expect(close).toHaveBeenCalledTimes(1);
  rerender({ open: false, on: close });
  expect(focused()).toBe('figure');
  rerender({ open: true, on: undefined });
  escape();
  expect(close).toHaveBeenCalledTimes(1);
});

test('Escape closes an overlay also from a text box', () => {
  screenOf('<h1>Match</h1>', '<input id="box" />');
  const close = jest.fn();
  const { unmount } = renderHook(() => useDialog(true, close));
  const box = document.getElementById('box');
  box?.addEventListener('keydown', (event) => event.stopPropagation());
  box?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
  expect(close).toHaveBeenCalledTimes(1);
  unmount();
});

test.each([
  [390, '16px', 'phone'],
  [767, '16px', 'phone'],
  [768, '16px', 'two'],
  [1023, '16px', 'two'],
  [1024, '16px', 'wide'],
  [1280, '32px', 'phone'],
  [1536, '32px', 'two'],
  [2048, '32px', 'wide'],
  [800, '12px', 'wide'],
])('%d px with text of %s is laid out as %s', (width, text, layout) => {
  jest.mocked(useWindowDimensions).mockReturnValue({ width, height: 844, scale: 1, fontScale: 1 });
  document.documentElement.style.fontSize = text;
  expect(renderHook(() => useLayout()).result.current).toBe(layout);
  document.documentElement.style.fontSize = '';
});

test.each([
  ['16px', 32],
  ['32px', 64],
  ['20px', 40],
])('margins of a page with text of %s take %d px of its width', (text, px) => {
  document.documentElement.style.fontSize = text;
  expect(renderHook(() => useMargins()).result.current).toBe(px);
  document.documentElement.style.fontSize = '';
});
