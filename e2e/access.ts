import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { setTimeout as sleep } from 'node:timers/promises';
import axe from 'axe-core';
import { PHONE, WIDE, type Screen } from './lib/browser';
import { cutOff } from './lib/cutOff';
import { ownScreen, signIn } from './lib/stage';

/** What axe finds on the present screen: each rule with the first place that breaks it. */
async function found(screen: Screen): Promise<string[]> {
  await screen.page.evaluate(axe.source);
  return screen.page.evaluate(async () => {
    const { axe: runner } = globalThis as unknown as { axe: typeof axe };
    // Axe distinguishes words from signs by their width: wait until the font has loaded.
    await document.fonts.ready;
    const { violations } = await runner.run(document, { resultTypes: ['violations'] });
    const faults: typeof violations = [];
    for (const fault of violations) {
      // Only part of an element at the fold is visible: it is checked again when fully visible.
      const halves = fault.id === 'label-content-name-mismatch' ? fault.nodes : [];
      let cleared = 0;
      for (const { target } of halves) {
        const control = document.querySelector(String(target[0]));
        control?.scrollIntoView({ block: 'center' });
        const again = control && (await runner.run(control, { runOnly: [fault.id] }));
        cleared += again?.violations.length === 0 ? 1 : 0;
      }
      if (cleared < fault.nodes.length) faults.push(fault);
    }
    return faults.map(
      ({ id, impact, nodes }) =>
        `${id} (${impact}, ${nodes.length}): ${nodes[0]?.html.slice(0, 220)} ${nodes[0]?.failureSummary?.split('\n')[1] ?? ''}`,
    );
  });
}

/** Least size of a control for a gloved finger, px, in both directions. */
const TARGET = 44;
const CONTROLS =
  'a[href], button, input, textarea, [role="button"], [role="link"], [role="checkbox"], [role="radio"], [role="tab"], [role="switch"]';

/** Every control on the screen that is too small, with its size. */
const small = (screen: Screen): Promise<string[]> =>
  screen.page.$$eval(
    CONTROLS,
    (controls, least) =>
      controls.flatMap((control) => {
        const { width, height, bottom } = control.getBoundingClientRect();
        // What is off the page until focused, or not drawn, is never touched.
        if (bottom <= 0 || width <= 1 || (width >= least && height >= least)) return [];
        const name = control.getAttribute('data-testid') ?? control.outerHTML.slice(0, 160);
        return [`${name} is ${Math.round(width)} x ${Math.round(height)} px`];
      }),
    TARGET - 0.5,
  );

/** Looks to check: by day, and at night with double text size. */
const LOOKS = [
  { name: 'day', theme: 'light', text: '100%' },
  { name: 'night at 200 %', theme: 'dark', text: '200%' },
] as const;

async function lookAt(screen: Screen, look: (typeof LOOKS)[number]): Promise<void> {
  await screen.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: look.theme }]);
  await screen.page.evaluate((size) => {
    document.documentElement.style.fontSize = size;
  }, look.text);
}

const STATIONS = ['survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept', 'run'];
const PLACES = [
  ...['/', '/repairs', '/store', '/know-how', '/know-how/dew-point', '/know-how/how-far'],
  ...['/know-how/bolt-sequence', '/settings', '/new', '/nowhere'],
];

/** Every address, with a running repair; for a person who may see all of them. */
async function signedInToAll(screen: Screen): Promise<string[]> {
  await signIn(screen, 'tomas');
  const id = await screen.page.evaluate(async () => {
    const page = (await (await fetch('/api/repairs?status=open&q=P-204&limit=1')).json()) as {
      rows: { id: string }[];
    };
    return page.rows[0]?.id ?? '';
  });
  const stations = STATIONS.map((station) => `/repair/${id}/${station}`);
  return [...PLACES, ...stations, `/papers/${id}`, `/referral/${id}`];
}

/** Checks many screens, on its own page. */
async function sweep(
  size: typeof PHONE,
  look: (screen: Screen) => Promise<string[]>,
): Promise<void> {
  const screen = await ownScreen(size);
  try {
    // One text for all differences: the runner truncates long lists.
    assert.equal((await look(screen)).join('\n'), '');
  } finally {
    await screen.page.browserContext().close();
  }
}

const WIDTHS = [320, 390, 768, 912, 1280, 1920];

describe('on every screen', () => {
  for (const [size, form] of [
    [PHONE, 'a phone'],
    [WIDE, 'a wide screen'],
  ] as const)
    test(`axe finds nothing on ${form}, by day and at night with the text at 200 %, and nothing is too small to touch`, () =>
      sweep(size, async (screen) => {
        const faults: string[] = [];
        const check = async (path: string) => {
          for (const look of LOOKS) {
            await lookAt(screen, look);
            for (const fault of await found(screen)) faults.push(`${path}, ${look.name}: ${fault}`);
            if (size === PHONE)
              for (const fault of await small(screen))
                faults.push(`${path}, ${look.name}: ${fault}`);
          }
        };
        await screen.open('/');
        await screen.see('sign-in');
        await check('sign-in');
        for (const path of await signedInToAll(screen)) {
          await screen.open(path);
          await check(path);
        }
        return faults;
      }));

  test('nothing is cut from 320 to 1920 px, nor with the text at 200 %', () =>
    sweep(PHONE, async (screen) => {
      const faults: string[] = [];
      for (const path of await signedInToAll(screen)) {
        await screen.page.setViewport({ width: WIDTHS[0] ?? 0, height: 844, deviceScaleFactor: 1 });
        await screen.open(path);
        await screen.page.waitForSelector('[role="main"] h1');
        for (const width of WIDTHS) {
          await screen.page.setViewport({ width, height: 844, deviceScaleFactor: 1 });
          for (const text of ['100%', '200%']) {
            await screen.page.evaluate(async (size) => {
              document.documentElement.style.fontSize = size;
              await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
            }, text);
            // Layout by measured width comes a moment later: only what stays cut is a fault.
            let cut = await cutOff(screen);
            for (let looks = 0; cut.length > 0 && looks < 8; looks += 1) {
              await sleep(250);
              cut = await cutOff(screen);
            }
            for (const fault of cut) faults.push(`${path}, ${width}, ${text}: ${fault}`);
          }
        }
      }
      return faults;
    }));
});
