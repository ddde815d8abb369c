import assert from 'node:assert/strict';
import { test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import { PHONE, WIDE, type Screen } from './lib/browser';
import { signedIn } from './lib/stage';

interface Focused {
  role: string | null;
  id: string | null;
  tag: string;
  text: string;
}

/** The focused element. */
const focused = (screen: Screen): Promise<Focused> =>
  screen.page.evaluate(() => {
    const on = document.activeElement;
    return {
      role: on?.getAttribute('role') ?? null,
      id: on?.getAttribute('data-testid') ?? null,
      tag: on?.tagName ?? '',
      text: on?.textContent ?? '',
    };
  });

/** Waits until a screen's heading is focused; returns it with the page title. */
async function arrived(screen: Screen, says: string): Promise<string> {
  await screen.page.waitForFunction(
    (text) =>
      document.activeElement?.tagName === 'H1' &&
      document.activeElement.textContent?.includes(text),
    {},
    says,
  );
  return screen.page.title();
}

/** Presses Tab until a control is focused. */
async function tabTo(screen: Screen, id: string): Promise<void> {
  for (let n = 0; n < 80; n += 1) {
    if ((await focused(screen)).id === id) return;
    await screen.key('Tab');
  }
  throw new Error(`${id} is not reached by Tab`);
}

test('by keyboard alone: past the navigation, from screen to screen, each named and focused', async () => {
  const screen = await signedIn('ida', WIDE);
  await screen.open('/');
  assert.match(await screen.page.title(), /Bench · Kelmot$/);
  await screen.key('Tab');
  assert.equal((await focused(screen)).id, 'skip', 'the first stop leads past the places');
  const shown = await screen.page.$eval(
    '[data-testid="skip"]',
    (e) => e.getBoundingClientRect().top,
  );
  assert.ok(shown >= 0, 'it is visible while it has the focus');
  await screen.key('Enter');
  await arrived(screen, 'Bench');
  await screen.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await tabTo(screen, 'tab-store');
  await screen.key('Enter');
  assert.match(await arrived(screen, 'Store'), /Store · Kelmot$/);
  await screen.page.goBack();
  assert.match(await arrived(screen, 'Bench'), /Bench · Kelmot$/);
  await screen.press('tab-repairs');
  await screen.press('repair-P-117');
  assert.match(await arrived(screen, ''), /P-117/);
  assert.deepEqual(screen.problems, []);
});

test('choices are one Tab stop with arrows, Space ticks a box, and Escape closes an overlay', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('settings');
  await screen.see('units-us');
  const stops = await screen.page.$$eval('[role="radiogroup"]', (groups) =>
    groups.map((g) => g.querySelectorAll('[role="radio"][tabindex="0"]').length),
  );
  assert.ok(stops.length >= 2 && stops.every((n) => n === 1), stops.join(' '));
  await screen.page.focus('[data-testid="units-metric"]');
  await screen.key('ArrowRight');
  await screen.page.waitForSelector('[data-testid="units-us"][aria-checked="true"]');
  assert.equal((await focused(screen)).id, 'units-us');
  await screen.key('ArrowRight');
  await screen.page.waitForSelector('[data-testid="units-metric"][aria-checked="true"]');

  await screen.press('tab-repairs');
  await screen.press('repair-P-031');
  await screen.press('station-prep');
  const box = '[role="checkbox"][aria-checked="false"]';
  await screen.page.waitForSelector(box);
  const id = await screen.page.$eval(box, (e) => e.getAttribute('data-testid') ?? '');
  await screen.page.focus(`[data-testid="${id}"]`);
  await screen.key('Space');
  await screen.page.waitForSelector(`[data-testid="${id}"][aria-checked="true"]`);
  // A press sooner than this would count as a slip.
  await sleep(600);
  await screen.key('Space');
  await screen.page.waitForSelector(`[data-testid="${id}"][aria-checked="false"]`);

  await screen.press('station-match');
  await screen.see('screen-match');
  const figure = '[aria-label$="Show working"]';
  await screen.page.waitForSelector(figure);
  await screen.page.focus(figure);
  await screen.key('Enter');
  await screen.see('working');
  await screen.page.waitForFunction(
    () => document.activeElement?.closest('[role="dialog"]') !== null,
  );
  await screen.key('Escape');
  await screen.gone('working');
  await screen.page.waitForFunction(() =>
    document.activeElement?.getAttribute('aria-label')?.endsWith('Show working'),
  );
  assert.deepEqual(screen.problems, []);
});

test('an invalid survey moves to its first wrong field, which shows its error', async () => {
  const screen = await signedIn('ida', PHONE);
  await screen.press('new-repair');
  await screen.press('asset-new');
  await screen.type('asset.name', 'A mixer nobody has listed');
  await screen.press('survey-save');
  await screen.see('survey-issues');
  await screen.page.waitForFunction(
    () => document.activeElement?.getAttribute('aria-invalid') === 'true',
  );
  assert.equal((await focused(screen)).id, 'asset.tag');
  const said = await screen.page.evaluate(() => {
    const by = document.activeElement?.getAttribute('aria-describedby');
    return by ? (document.getElementById(by)?.textContent ?? '') : '';
  });
  assert.ok(said.length > 5, `it is described by its error: ${said}`);
  assert.deepEqual(screen.problems, []);
});
