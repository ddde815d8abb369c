/** @jest-environment jsdom */
import { goToFirstWrong, listenToKeys, tabIndexAt } from '@/shared/ui/keyboard';

beforeAll(() => listenToKeys(document));

const PAGE = `
  <div role="radiogroup" aria-label="Units">
    <div role="radio" id="a" tabindex="0"></div>
    <div role="radio" id="b" tabindex="-1" aria-disabled="true"></div>
    <div role="radio" id="c" tabindex="-1"></div>
  </div>
  <div role="checkbox" id="tick" tabindex="0"></div>
  <div role="link" id="link" tabindex="0"></div>
  <div role="button" id="button" tabindex="0"></div>
  <input id="text" />
`;
let pressed: string[] = [];
beforeEach(() => {
  document.body.innerHTML = PAGE;
  pressed = [];
  for (const element of Array.from(document.querySelectorAll('[id]')))
    element.addEventListener('click', () => pressed.push(element.id));
});

const at = (id: string) => document.getElementById(id) as HTMLElement;
const strike = (id: string, key: string, more: KeyboardEventInit = {}) => {
  at(id).focus();
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  at(id).dispatchEvent(event);
  return event;
};

test.each([
  ['ArrowDown', 'a', 'c'],
  ['ArrowRight', 'c', 'a'],
  ['ArrowUp', 'a', 'c'],
  ['ArrowLeft', 'c', 'a'],
])('%s moves between choices, skips disabled ones, and wraps round', (key, from, to) => {
  const { defaultPrevented } = strike(from, key);
  expect([pressed, document.activeElement?.id, defaultPrevented]).toEqual([[to], to, true]);
});

test('Space ticks a box and selects a choice once, however long it is held, without scrolling', () => {
  expect(strike('tick', ' ').defaultPrevented).toBe(true);
  strike('a', ' ');
  strike('tick', ' ', { repeat: true });
  expect(pressed).toEqual(['tick', 'a']);
});

test('Enter follows a link, also one that stops its key events', () => {
  at('link').addEventListener('keydown', (event) => event.stopPropagation());
  strike('link', 'Enter');
  strike('link', 'Enter', { repeat: true });
  strike('button', 'Enter');
  expect(pressed).toEqual(['link']);
});

test('keys that belong to another control are left to it', () => {
  strike('button', ' ');
  strike('text', ' ');
  strike('tick', 'ArrowDown');
  for (const held of ['ctrlKey', 'metaKey', 'altKey']) strike('a', 'ArrowDown', { [held]: true });
  strike('a', 'x');
  expect(pressed).toEqual([]);
});

test.each([
  [[0, -1, -1], -1],
  [[0, -1, -1], 0],
  [[-1, -1, 0], 2],
])('choices are one Tab stop: %j with %d chosen', (stops, chosen) => {
  expect([0, 1, 2].map((i) => tabIndexAt(i, chosen))).toEqual(stops);
});

test('the first invalid field gets the focus, for text boxes and choices', async () => {
  const frames = () => new Promise((done) => setTimeout(done, 60));
  goToFirstWrong();
  at('text').setAttribute('aria-invalid', 'true');
  await frames();
  expect(document.activeElement?.id).toBe('text');
  document.querySelector('[role="radiogroup"]')?.setAttribute('aria-invalid', 'true');
  goToFirstWrong();
  await frames();
  expect(document.activeElement?.id).toBe('a');
});
