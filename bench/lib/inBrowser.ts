import { readFileSync } from 'node:fs';
import { launch } from '../../e2e/lib/browser';

/** Runs a bundled bench in Debian's Chromium and returns its output. */
export async function inBrowser(file: string): Promise<string> {
  const session = await launch();
  try {
    const page = await session.browser.newPage();
    await page.goto('about:blank');
    await page.addScriptTag({ content: readFileSync(file, 'utf8') });
    return String(await page.evaluate('globalThis.bench()'));
  } finally {
    await session.close();
  }
}
