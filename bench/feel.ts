import { setTimeout as sleep } from 'node:timers/promises';
import { freshScreen, launch, PHONE, type Screen, type Session } from '../e2e/lib/browser';
import { startServer } from '../e2e/lib/server';
import { manyClocks } from './lib/manyClocks';
import { table } from './lib/measure';
import { opening, type Opening } from './lib/opening';

/** How long the bench is measured, still and while scrolling, ms. */
const LOOK_MS = 20_000;
const SCROLL_MS = 6000;
/** How many times slower a cheap phone's processor is than this one. */
const SLOW = 4;
const KEYS = '12.5 mm 12.5 mm';

/** Number of running clocks on the bench. */
const CLOCKS = 30;
/** Number of openings; the median counts. */
const OPENINGS = 3;
/** The bench may take at most this many times what an empty application of the same stack takes. */
const OF_EMPTY = 1.5;

interface Felt {
  what: string;
  found: number;
  limit: number;
  unit: string;
  /** The same for the empty application. */
  empty?: number;
}

/** The page's share of one core during an action, in percent. */
async function load(screen: Screen, during: () => Promise<unknown>): Promise<number> {
  const busy = async () => (await screen.page.metrics()).TaskDuration ?? 0;
  const [before, from] = [await busy(), performance.now()];
  await during();
  return ((await busy()) - before) / ((performance.now() - from) / 1000) / 0.01;
}

const scrolled = async (screen: Screen) => {
  for (const until = Date.now() + SCROLL_MS; Date.now() < until;) {
    await screen.page.mouse.wheel({ deltaY: Math.sin(Date.now() / 700) * 90 });
    await sleep(50);
  }
};

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** Time from a key press in a survey box to its painting, ms; the median of several. */
async function keyPainted(screen: Screen, box: string): Promise<number> {
  await screen.see(box);
  await screen.page.focus(`[data-testid="${box}"]`);
  await screen.page.evaluate(() => {
    const painted: number[] = [];
    Object.assign(globalThis, { painted });
    addEventListener(
      'keydown',
      ({ timeStamp }) =>
        requestAnimationFrame(() =>
          setTimeout(() => void painted.push(performance.now() - timeStamp)),
        ),
      true,
    );
  });
  for (const key of KEYS) {
    await screen.page.keyboard.press(key as 'a');
    await sleep(350);
  }
  return median(
    await screen.page.evaluate(() => (globalThis as unknown as { painted: number[] }).painted),
  );
}

/** Time from a touch to an open repair that is on the device, ms; the median of several. */
async function opened(screen: Screen, row: string): Promise<number> {
  const taken: number[] = [];
  for (let times = 0; times < 7; times += 1) {
    await screen.see(row);
    await sleep(900);
    taken.push(
      await screen.page.evaluate(
        (id) =>
          new Promise<number>((resolve) => {
            const from = performance.now();
            new MutationObserver((_, watch) => {
              if (!document.querySelector('[data-testid^="screen-"]')) return;
              watch.disconnect();
              requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
            }).observe(document.body, { childList: true, subtree: true });
            document.querySelector<HTMLElement>(`[data-testid="${id}"]`)?.click();
          }),
        row,
      ),
    );
    await screen.page.goBack();
  }
  return median(taken);
}

/** What the bench needs to open on a new device, beside the empty application over the same line. */
async function openings(session: Session, base: string, screen: Screen): Promise<Felt[]> {
  const empty = await startServer({ webRoot: process.env.EMPTY_ROOT });
  try {
    const cookies = await screen.page.browserContext().cookies();
    const taken = { bench: [] as Opening[], empty: [] as Opening[] };
    for (let times = 0; times < OPENINGS; times += 1) {
      taken.bench.push(await opening(session, base, 'bench-P-204', cookies));
      taken.empty.push(await opening(session, empty.base, 'empty'));
    }
    const middle = (of: Opening[], key: keyof Opening) => median(of.map((o) => o[key]));
    return (
      [
        ['bench is opened: over the wire', 'kib', 'KiB'],
        ['bench is opened: slow line and processor', 'ms', 'ms'],
      ] as const
    ).map(([what, key, unit]) => ({
      ...{ what, unit, found: middle(taken.bench, key), empty: middle(taken.empty, key) },
      limit: OF_EMPTY * middle(taken.empty, key),
    }));
  } finally {
    await empty.stop();
  }
}

async function main(): Promise<void> {
  const kelmot = await startServer();
  const session = await launch();
  try {
    const screen = await freshScreen(session, kelmot.base, PHONE);
    await screen.open('/');
    await screen.press('demo-ida');
    await screen.see('bench-P-204');
    const felt = await openings(session, kelmot.base, screen);
    const note = (what: string, found: number, limit: number, unit: string) =>
      felt.push({ what, found, limit, unit });
    await sleep(6000);
    note('repair is opened', await opened(screen, 'bench-P-204'), 100, 'ms');
    await screen.open('/new');
    await screen.type('asset-search', 'P-014');
    await screen.press('asset-P-014');
    await screen.press('shape-0-seat');
    const box = 'damages.0.finishedDiameterMm';
    note('key is painted', await keyPainted(screen, box), 30, 'ms');
    await screen.page.emulateCPUThrottling(SLOW);
    note(`key, processor ${SLOW} times as slow`, await keyPainted(screen, box), 100, 'ms');
    await screen.page.emulateCPUThrottling(null);
    await manyClocks(screen.page, CLOCKS);
    await screen.open('/');
    await screen.see('bench-P-204');
    await sleep(20_000);
    const clocks = await screen.page.$$eval('[data-testid="countdown"]', (all) => all.length);
    note(`bench stands, ${clocks} clocks`, await load(screen, () => sleep(LOOK_MS)), 3, '%');
    note('bench is scrolled', await load(screen, () => scrolled(screen)), 10, '%');
    const said = (value: number | undefined, unit: string) =>
      value === undefined ? '' : `${value.toFixed(unit === 'KiB' ? 0 : 1)} ${unit}`;
    process.stdout.write(
      `${table(
        ['', 'found', 'empty', 'at most', 'of it'],
        felt.map(({ what, found, empty, limit, unit }) => [
          ...[what, said(found, unit), said(empty, unit), said(limit, unit)],
          (found / limit).toFixed(2),
        ]),
      )}\n`,
    );
  } finally {
    await session.close();
    await kelmot.stop();
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${String(error)}\n`);
  process.exitCode = 1;
});
