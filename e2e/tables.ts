import assert from 'node:assert/strict';
import { test } from 'node:test';
import { textWidth } from '@kelmot/core/section/lettering';
import { WIDE } from './lib/browser';
import { signedIn } from './lib/stage';

test('a planner reads all repairs as one table: sorted by a column, the selected row beside it, opened by a touch', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.open('/repairs');
  await screen.see('repair-P-204');
  // The register would repeat the table.
  await screen.gone('register-P-204');
  /** The server sorts: waits until the rows are in order, up (1) or down (-1). */
  const inOrder = (way: 1 | -1) =>
    screen.page.waitForFunction(
      (sign) => {
        const rows = [...document.querySelectorAll('[data-testid^="repair-"]')].map(
          (r) => r.getAttribute('data-testid') ?? '',
        );
        const after = (a: string, b: string) => sign * a.localeCompare(b, 'en', { numeric: true });
        return (
          rows.length > 10 && rows.every((r, i) => i === 0 || after(rows[i - 1] ?? '', r) <= 0)
        );
      },
      {},
      way,
    );
  await screen.press('sort-tag');
  await inOrder(1);
  await screen.press('sort-tag');
  await inOrder(-1);
  await screen.page.hover('[data-testid="repair-JP-31"]');
  await screen.page.waitForFunction(() =>
    /hole/i.test(
      document.querySelector('[data-testid="section"]')?.getAttribute('aria-label') ?? '',
    ),
  );
  assert.equal(await screen.attribute('repair-JP-31', 'aria-selected'), 'true');
  await screen.press('repair-JP-31');
  await screen.see('station-match');
  assert.deepEqual(screen.problems, []);
});

test('a planner reads the store as one table with the selected card beside it', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.open('/store');
  await screen.press('card-R-210');
  assert.equal(await screen.attribute('card-R-210', 'aria-selected'), 'true');
  await screen.says('R-210 Steel paste, long life');
  await screen.press('sort-name');
  await screen.see('card-R-210');
  assert.deepEqual(screen.problems, []);
});

test('at Match the side pane calculates the selected card before any plan is made', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.press('register-SG-2');
  await screen.key('2');
  await screen.matches('working', /back in service in.*ready/is);
  const first = await screen.text('working');
  await screen.press('pick-R-215');
  await screen.page.waitForFunction(
    (before) => document.querySelector('[data-testid="working"]')?.textContent !== before,
    {},
    first,
  );
  assert.deepEqual(screen.problems, []);
});

test('the lettering of a section is no wider in the shipped font than core assumes', async () => {
  const screen = await signedIn('tomas', WIDE);
  await screen.press('register-P-204');
  await screen.see('section');
  const texts = [
    'abcdefghijklmnopqrstuvwxyz',
    'ABCDEFGHIJKLMNOPQRSTUVWXYZ',
    '0123456789',
    '⌀ 268 to 410',
    'edge square, 3',
    'mineral acid 10 %, 60 °C',
    'wwww mmmm',
    '½¼¾⅜⅝⅛⅞%',
    '11 1/4 × 3/8',
  ];
  const widths = await screen.page.$eval(
    '[data-testid="section"] svg',
    (svg, list) => {
      const drawn = svg.querySelector('text');
      return list.map((text) => {
        const probe = drawn?.cloneNode() as SVGTextElement;
        probe.textContent = text;
        svg.appendChild(probe);
        const { width } = probe.getBBox();
        probe.remove();
        return width;
      });
    },
    texts,
  );
  for (const [i, text] of texts.entries()) {
    const width = widths[i] ?? NaN;
    assert.ok(
      width > 0 && width <= textWidth(text),
      `${text}: ${width} px, counted ${textWidth(text)}`,
    );
  }
});
