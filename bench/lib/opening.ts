import { setTimeout as sleep } from 'node:timers/promises';
import type { CookieData } from 'puppeteer-core';
import { PHONE, type Session } from '../../e2e/lib/browser';

export interface Opening {
  /** Transferred until the screen is complete and idle. */
  kib: number;
  requests: number;
  /** Time until the screen is complete, ms. */
  ms: number;
}

/** A slow line: 0.56 s round trip, 160 KB/s, like a phone at the edge of its cell. */
const SLOW_LINE = {
  offline: false,
  latency: 562.5,
  downloadThroughput: 162_000,
  uploadThroughput: 76_000,
};
const SLOW_PROCESSOR = 4;
/** The screen's own requests have come by then; prefetching has not begun, ms. */
const CALM_MS = 600;

/** Opens an address on a new device, over a slow line and with a slow processor, until `seen` is on the screen. */
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
