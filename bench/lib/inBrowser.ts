import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';

/** Runs a bundled bench in Debian's Chromium, as a person's browser would, and gives back what it prints. */
export async function inBrowser(file: string): Promise<string> {
  const userDataDir = mkdtempSync(join(tmpdir(), 'kelmot-bench-'));
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    userDataDir,
    protocolTimeout: 300_000,
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  try {
    const page = await browser.newPage();
    await page.goto('about:blank');
    await page.addScriptTag({ content: readFileSync(file, 'utf8') });
    return String(await page.evaluate('globalThis.bench()'));
  } finally {
    await browser.close();
    rmSync(userDataDir, { recursive: true, force: true });
  }
}
