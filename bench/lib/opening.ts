import { setTimeout as sleep } from 'node:timers/promises';
import type { CookieData } from 'puppeteer-core';
import { PHONE, type Session } from '../../e2e/lib/browser';

export interface Opening {
  /** Over the wire until the screen stands and is calm. */
  kib: number;
  requests: number;
  /** Until the screen stands, ms. */
  ms: number;
}

/** A slow line: 0.56 s there and back, 160 KB/s, as a phone at the edge of its cell. */
const SLOW_LINE = {
  offline: false,
  latency: 562.5,
  downloadThroughput: 162_000,
  uploadThroughput: 76_000,
};
const SLOW_PROCESSOR = 4;
/** What a screen asks for itself has come by then; what is fetched to have it on the device has not begun, ms. */
const CALM_MS = 600;

/** Opens an address on a device that was never there, over a slow line and with a slow processor, until `seen` is on it. */
export async function opening(
  { browser }: Session,
  base: string,
  seen: string,
  cookies: CookieData[] = [],
): Promise<Opening> {
  const device = await browser.createBrowserContext();
  try {
    if (cookies.length > 0) await device.setCookie(...cookies);
    const page = await device.newPage();
    await page.setViewport(PHONE);
    const line = await page.createCDPSession();
    await line.send('Network.enable');
    await line.send('Network.emulateNetworkConditions', SLOW_LINE);
    await page.emulateCPUThrottling(SLOW_PROCESSOR);
    const from = performance.now();
    await page.goto(base, { waitUntil: 'domcontentloaded' });
    await page.waitForSelector(`[data-testid="${seen}"]`, { timeout: 60_000 });
    const ms = performance.now() - from;
    await sleep(CALM_MS);
    const sizes = await page.evaluate(() =>
      [
        ...performance.getEntriesByType('navigation'),
        ...performance.getEntriesByType('resource'),
      ].map((entry) => (entry as PerformanceResourceTiming).transferSize),
    );
    return {
      ms,
      kib: sizes.reduce((sum, size) => sum + size, 0) / 1024,
      requests: sizes.length,
    };
  } finally {
    await device.close();
  }
}
