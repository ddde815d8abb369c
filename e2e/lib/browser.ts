import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { filmPack } from './film';
import { look, spotOf, WAIT, type Spot } from './look';

const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };

export interface Session {
  browser: Browser;
  close: () => Promise<void>;
}

/** Debian's Chromium with its own empty profile. */
export async function launch(): Promise<Session> {
  const executablePath = CHROMIUM.find((p) => existsSync(p));
  if (!executablePath) throw new Error('chromium is missing: run bin/test');
  const userDataDir = mkdtempSync(join(tmpdir(), 'kelmot-chromium-'));
  const film = join(userDataDir, 'pack.y4m');
  await filmPack(film);
  const browser = await puppeteer.launch({
    executablePath,
    userDataDir,
    args: [
      ...FLAGS,
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
    protocolTimeout: 180_000,
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(userDataDir, { recursive: true, force: true });
    },
  };
}

const at = (id: string) => `[data-testid="${id}"]`;
/** A press without effect in this time is repeated, ms. */
const PRESS_AGAIN_MS = 10_000;
/** A little more than the time within which the application ignores a second press at the same place, ms. */
const SETTLE_MS = 550;
/** A little more than the distance within which the application ignores a second press, px. */
const NEAR_PX = 40;

/** A page driven as a person would: by what is on the screen, waiting for it to appear. */
export class Screen {
  readonly problems: string[] = [];

  constructor(
    readonly page: Page,
    private readonly base: string,
  ) {
    page.on('pageerror', (e) => this.problems.push(String(e)));
    page.on('console', (m) => {
      // A 401 before signing in and provoked errors are expected.
      if (m.type() === 'error' && !/status of 4\d\d|ERR_INTERNET_DISCONNECTED/.test(m.text()))
        this.problems.push(m.text());
    });
  }

  async open(path: string): Promise<void> {
    await this.page.goto(this.base + path, { waitUntil: 'networkidle2' });
  }

  /** Waits until something is on the screen and drawn. */
  async drawn(selector: string, timeout = WAIT): Promise<void> {
    await look(
      this.page,
      (wanted) =>
        [...document.querySelectorAll(wanted)].some((e) =>
          e.checkVisibility({ visibilityProperty: true }),
        ),
      [selector],
      timeout,
    );
  }

  async see(id: string): Promise<void> {
    await this.drawn(at(id)).catch(() => {
      throw new Error(`${id} is not shown`);
    });
  }

  /** Presses a control once it is enabled and still; once more, as a person would, if it moved away from the press. */
  async press(id: string, options?: { count: number; delay: number }, again = 2): Promise<void> {
    let spot = await this.spot(id);
    // A person presses the same control or place again only later: a quick press counts as a slip.
    const waits = SETTLE_MS - (Date.now() - this.lastPress(id, spot));
    if (waits > 0) {
      await sleep(waits);
      spot = await this.spot(id);
    }
    await this.page.mouse.click(spot.x, spot.y, options);
    const now = Date.now();
    this.presses = [
      ...this.presses.filter((p) => now - p.at < SETTLE_MS),
      { id, at: now, ...spot },
    ];
    if (again > 0 && !(await this.reached())) await this.press(id, options, again - 1);
  }

  /** Whether the last press met its control, and not another that had moved there. A page that was left counts as met. */
  private reached(): Promise<boolean> {
    return this.page
      .evaluate(() => (globalThis as { reachedSpot?: boolean }).reachedSpot !== false)
      .catch(() => true);
  }

  /** Presses a control twice in quick succession. */
  doubleTap(id: string): Promise<void> {
    return this.press(id, { count: 2, delay: 20 });
  }

  /** The presses that can still make another one count as a slip, however many came since. */
  private presses: ({ id: string; at: number } & Spot)[] = [];

  /** When this control or this place was last pressed, epoch ms; 0 if long ago. */
  private lastPress(id: string, spot: Spot): number {
    const same = (p: Spot & { id: string }) =>
      p.id === id || Math.hypot(spot.x - p.x, spot.y - p.y) < NEAR_PX;
    return this.presses.filter(same).at(-1)?.at ?? 0;
  }

  private spot(id: string): Promise<Spot> {
    return look(this.page, spotOf, [at(id)]).catch(async () => {
      const label = await this.page.$eval(at(id), (e) => e.textContent).catch(() => 'not there');
      throw new Error(`${id} cannot be pressed: ${label}`);
    });
  }

  /** Replaces the text of an input field. */
  async type(id: string, text: string): Promise<void> {
    await this.press(id);
    await this.page.evaluate(() => {
      const field = document.activeElement;
      if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.select();
    });
    if (text) await this.page.keyboard.sendCharacter(text);
    else await this.page.keyboard.press('Backspace');
  }

  /** Fills a form, field by field. */
  async fill(fields: readonly (readonly [id: string, text: string])[]): Promise<void> {
    for (const [id, text] of fields) await this.type(id, text);
  }

  /** Goes to the next station; repeats a press that came while the bar was redrawn. */
  async moveOn(to: string): Promise<void> {
    const there = () =>
      this.drawn(at(`screen-${to}`), PRESS_AGAIN_MS)
        .then(() => true)
        .catch(() => false);
    await this.press('move-on');
    if (await there()) return;
    await this.press('move-on');
    await this.see(`screen-${to}`);
  }

  /** Takes the picture that a step needs: a screenshot of the page. */
  async photograph(stepId: string, button = `photo-${stepId}`): Promise<void> {
    const folder = mkdtempSync(join(tmpdir(), 'kelmot-photo-'));
    const picture = join(folder, 'photo.png');
    writeFileSync(picture, await this.page.screenshot());
    const [chooser] = await Promise.all([this.page.waitForFileChooser(), this.press(button)]);
    await chooser.accept([picture]);
    // In a list its verdict appears; in the run sheet the next step does.
    if (button === `photo-${stepId}`) await this.see(`verdict-${stepId}`);
    else await this.gone(`run-step-${stepId}`);
    rmSync(folder, { recursive: true, force: true });
  }

  /** Ticks every box of the shown station, and takes every missing picture. */
  async tickAll(): Promise<void> {
    await this.page.waitForSelector('[data-testid^="step-"]');
    const ids = await this.page.$$eval('[data-testid^="check-"][aria-checked="false"]', (list) =>
      list.map((e) => e.getAttribute('data-testid') ?? ''),
    );
    for (const id of ids) await this.press(id);
    const photos = await this.page.$$eval('[data-testid^="photo-"]', (list) =>
      list.map((e) => (e.getAttribute('data-testid') ?? '').slice('photo-'.length)),
    );
    for (const id of photos)
      if (!(await this.page.$(at(`verdict-${id}`)))) await this.photograph(id);
  }

  value(id: string): Promise<string> {
    return look(
      this.page,
      (wanted) => {
        const found = document.querySelector<HTMLInputElement>(wanted);
        return found && { value: found.value };
      },
      [at(id)],
    ).then(({ value }) => value);
  }

  text(id: string): Promise<string> {
    return look(
      this.page,
      (wanted) => {
        const found = document.querySelector<HTMLElement>(wanted);
        return found?.checkVisibility({ visibilityProperty: true }) && { text: found.innerText };
      },
      [at(id)],
    ).then(({ text }) => text);
  }

  /** Waits until the text shows anywhere on the screen. */
  async says(text: string): Promise<void> {
    await look(this.page, (t) => document.body.innerText.includes(t), [text]).catch(() => {
      throw new Error(`the screen does not say “${text}”`);
    });
  }

  /** Waits until the text of one element matches. */
  async matches(id: string, pattern: RegExp): Promise<void> {
    await look(
      this.page,
      (wanted, source, flags) =>
        new RegExp(source, flags).test(
          document.querySelector<HTMLElement>(wanted)?.innerText ?? '',
        ),
      [at(id), pattern.source, pattern.flags.includes('s') ? pattern.flags : `${pattern.flags}s`],
    ).catch(async () => {
      throw new Error(`${id} says “${await this.shownText(id)}”, not ${pattern}`);
    });
  }

  private shownText(id: string): Promise<string> {
    return this.page
      .$eval(at(id), (e) => (e as HTMLElement).innerText)
      .catch(() => 'nothing: it is not there');
  }

  /** Waits until a box holds the text. */
  async reads(id: string, text: string): Promise<void> {
    await look(
      this.page,
      (wanted, held) => document.querySelector<HTMLInputElement>(wanted)?.value === held,
      [at(id), text],
    ).catch(async () => {
      throw new Error(`${id} holds “${await this.value(id)}”, not “${text}”`);
    });
  }

  async gone(id: string): Promise<void> {
    await look(
      this.page,
      (wanted) => ![...document.querySelectorAll(wanted)].some((e) => e.checkVisibility()),
      [at(id)],
    ).catch(async () => {
      throw new Error(`${id} is still shown: ${await this.shownText(id)}`);
    });
  }

  async attribute(id: string, name: string): Promise<string | null> {
    await this.see(id);
    return this.page.$eval(at(id), (e, n) => e.getAttribute(n), name);
  }

  key(key: string): Promise<void> {
    return this.page.keyboard.press(key as Parameters<Page['keyboard']['press']>[0]);
  }
}

/** What each page shows, with its address and its problems. */
export async function pagesText(screens: readonly Screen[]): Promise<string> {
  const shown = screens.map(async ({ page, problems }) => {
    const text = await page.evaluate(() => document.body.innerText).catch(String);
    return [page.url(), ...problems, text].join('\n');
  });
  return (await Promise.all(shown)).join('\n--- ');
}

/** The tests' clock minus the machine's clock, ms. Every page is shifted by it. */
const { clockAheadMs = 0 } = globalThis as { clockAheadMs?: number };

/** A new page in its own context: nobody signed in, nothing kept. `hoursBack` sets its clock back. */
export async function freshScreen(
  session: Session,
  base: string,
  size: { width: number; height: number },
  hoursBack = 0,
): Promise<Screen> {
  const context = await session.browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ ...size, deviceScaleFactor: 1 });
  await setBack(page, hoursBack);
  return new Screen(page, base);
}

const shifts = new WeakMap<Page, string>();
const HOUR_MS = 3_600_000;

/**
 * Shifts a page's clock against the tests' clock from its next load on, ms; negative: back. With `whole` false only the
 * device's clock is wrong, not the site's. Later shifts need no load: `turnClock(aheadMs)`.
 */
export async function setAhead(page: Page, aheadMs: number, whole = true): Promise<void> {
  const before = shifts.get(page);
  if (before) await page.removeScriptToEvaluateOnNewDocument(before);
  // As text: a compiled class would need helpers that the page does not have.
  const script = await page.evaluateOnNewDocument(`{
    const Native = Date;
    let ahead = ${clockAheadMs + aheadMs};
    globalThis.turnClock = (ms) => {
      ahead = ${clockAheadMs} + ms;
      // A phone that wakes from its sleep tells its pages so.
      document.dispatchEvent(new Event('visibilitychange'));
    };
    const now = () => Native.now() + ahead;
    // The server's answers carry the machine's clock: the site's is set as the tests' is, and with the device's.
    const { get } = Headers.prototype;
    Headers.prototype.get = function (name) {
      const value = get.call(this, name);
      return value && name === 'date'
        ? new Native(Native.parse(value) + (${whole} ? ahead : ${clockAheadMs})).toUTCString()
        : value;
    };
    globalThis.Date = class extends Native {
      constructor(...args) {
        super(...(args.length === 0 ? [now()] : args));
      }
      static now() {
        return now();
      }
    };
  }`);
  shifts.set(page, script.identifier);
}

/** Sets a page's clock back from its next load on: a job of two days can then be walked in a minute. */
export const setBack = (page: Page, hours: number, whole = true): Promise<void> =>
  setAhead(page, -hours * HOUR_MS, whole);

/** Returns a page to the tests' present, from its next load on. */
export const setPresent = (page: Page): Promise<void> => setAhead(page, 0);

/** Moves the clock of a page that was set back. */
export async function later(screen: Screen, hoursBack: number): Promise<void> {
  await sleep(1500);
  await setBack(screen.page, hoursBack);
  await screen.page.reload({ waitUntil: 'networkidle2' });
}
