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

/** What has the focus. */
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

/** Waits until the heading of a screen has the focus, and gives it with the title of the page. */
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

/** Goes on by the Tab key to a control. */
async function tabTo(screen: Screen, id: string): Promise<void> {
  for (let n = 0; n < 80; n += 1) {
    if ((await focused(screen)).id === id) return;
    await screen.key('Tab');
  }
  throw new Error(`${id} is not reached by Tab`);
}

test('by the keyboard alone: past the places, from screen to screen, each named and gone to', async () => {
  const screen = await signedIn('ida', WIDE);
  await screen.open('/');
  assert.match(await screen.page.title(), /Bench · Kelmot$/);
  await screen.key('Tab');
  assert.equal((await focused(screen)).id, 'skip', 'the first stop leads past the places');
  const shown = await screen.page.$eval(
    '[data-testid="skip"]',
    (e) => e.getBoundingClientRect().top,
  );
  assert.ok(shown >= 0, 'it is in sight while it has the focus');
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

test('choices are one stop and go by arrows, a box is ticked by Space, and Escape closes what lies over', async () => {
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
  // A second one this soon would be a slip.
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

test('a survey that cannot be read goes to its first wrong field, which says what is wrong with it', async () => {
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

/** What sticks out of the screen to the right or is cut there, where nothing scrolls sideways. */
const cutOff = (screen: Screen): Promise<string[]> =>
  screen.page.evaluate(() => {
    const wide = document.documentElement.scrollWidth > innerWidth ? ['the page itself'] : [];
    const out = Array.from(document.querySelectorAll('#root *')).filter((e) => {
      const { right, width, height } = e.getBoundingClientRect();
      const own = Array.from(e.childNodes).some((n) => n.nodeType === 3 && n.textContent?.trim());
      const shown = own || e.tagName === 'svg';
      if (!shown || width === 0 || height === 0 || right <= innerWidth + 1) return false;
      for (let p = e.parentElement; p; p = p.parentElement)
        if (/auto|scroll/.test(getComputedStyle(p).overflowX) && p.scrollWidth > p.clientWidth + 1)
          return false;
      return true;
    });
    // The places at the thumb say their whole names, inside of what is pressed.
    const short = Array.from(document.querySelectorAll('[aria-label="Places"] [dir]')).filter(
      (e) => {
        const own = e.getBoundingClientRect();
        const pressed = e.closest('[role="link"], [role="button"]')?.getBoundingClientRect();
        const inside = !pressed || (own.left >= pressed.left - 1 && own.right <= pressed.right + 1);
        const level = !pressed || (own.top >= pressed.top - 1 && own.bottom <= pressed.bottom + 1);
        return own.width > 0 && !(inside && level && e.scrollWidth <= e.clientWidth + 1);
      },
    );
    return [
      ...wide,
      ...[...out, ...short].map((e) => `${e.tagName} “${e.textContent?.slice(0, 40)}”`),
    ];
  });

const WIDTHS = [320, 390, 768, 912, 1280, 1920];
const PLACES = [
  ...['/', '/repairs', '/store', '/know-how', '/know-how/bolt-sequence', '/settings', '/new'],
];
const STATIONS = ['survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept', 'run'];

test('nothing is cut from 320 to 1920 px, nor with the text at 200 %', async () => {
  const screen = await signedIn('tomas', PHONE);
  const id = await screen.page.evaluate(async () => {
    const page = (await (await fetch('/api/repairs?status=open&q=P-204&limit=1')).json()) as {
      rows: { id: string }[];
    };
    return page.rows[0]?.id ?? '';
  });
  const faults: string[] = [];
  const paths = [...PLACES, ...STATIONS.map((s) => `/repair/${id}/${s}`), `/papers/${id}`];
  for (const path of paths) {
    for (const width of WIDTHS) {
      await screen.page.setViewport({ width, height: 844, deviceScaleFactor: 1 });
      if (width === WIDTHS[0]) {
        await screen.open(path);
        await screen.page.waitForSelector('[role="main"] h1');
      }
      for (const text of ['100%', '200%']) {
        await screen.page.evaluate(async (size) => {
          document.documentElement.style.fontSize = size;
          await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
        }, text);
        // What is laid out by its measured width comes a moment later: only what stays cut is a fault.
        let cut = await cutOff(screen);
        for (let looks = 0; cut.length > 0 && looks < 8; looks += 1) {
          await sleep(250);
          cut = await cutOff(screen);
        }
        for (const fault of cut) faults.push(`${path}, ${width}, ${text}: ${fault}`);
      }
    }
  }
  // One text for all: what differs is cut by the runner where a list is long.
  assert.equal(faults.join('\n'), '');
});
