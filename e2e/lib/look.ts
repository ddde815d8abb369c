import type { Page } from 'puppeteer-core';

/** Timeout of every wait, ms. Results usually come within seconds; the limit only stops a test that hangs. */
export const WAIT = 60_000;
/** Polling interval inside the page, ms. */
const LOOK_MS = 50;

type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** The page navigated while the condition was polled: the new page is polled again. */
const LEFT = /context was destroyed|Cannot find context|detached|navigat/i;

/**
 * Polls a condition inside the page until it gives a value other than null, undefined or false, and returns that value.
 * One message to the browser instead of one for each look. Throws after `timeout` ms. `condition` must use its own
 * arguments only.
 */
export async function look<T extends Json, A extends readonly Json[]>(
  page: Page,
  condition: (...args: A) => T | null | undefined | false,
  args: A,
  timeout = WAIT,
): Promise<T> {
  const ends = Date.now() + timeout;
  for (;;) {
    const left = Math.max(0, ends - Date.now());
    // As text: the security policy of the page allows no code that is compiled from text inside it.
    // `__name` is what some compilers wrap around a named function.
    const polled = `(async () => {
      const __name = (named) => named;
      const condition = ${condition.toString()};
      const ends = performance.now() + ${left};
      for (;;) {
        const value = condition(...${JSON.stringify(args)});
        if (value !== null && value !== undefined && value !== false) return [value];
        if (performance.now() >= ends) return null;
        await new Promise((next) => setTimeout(next, ${LOOK_MS}));
      }
    })()`;
    let found: [T] | null = null;
    try {
      found = (await page.evaluate(polled)) as [T] | null;
    } catch (error) {
      if (!LEFT.test(String(error)) || Date.now() >= ends) throw error;
      continue;
    }
    if (found) return found[0];
    throw new Error(`not seen within ${timeout / 1000} s`);
  }
}

/** A point on the page, px. */
export type Spot = Readonly<{ x: number; y: number }>;

/**
 * Scrolls a control to the middle of the screen and returns the point to press, once the control is enabled, has
 * stopped moving, and the scroll has been drawn: a scroll that arrives during a press cancels it. From then on the page
 * notes in `reachedSpot` whether the next press meets the control.
 */
export function spotOf(selector: string): Spot | null {
  const memory = globalThis as { lastSpot?: string; drawnSpot?: string; reachedSpot?: boolean };
  const found = [...document.querySelectorAll(selector)].find(
    (e) =>
      e.getAttribute('aria-disabled') !== 'true' && e.checkVisibility({ visibilityProperty: true }),
  );
  if (!found) return null;
  // At the edge of the screen the action bar could cover it.
  found.scrollIntoView({ block: 'center', behavior: 'instant' });
  const { x, y, width, height } = found.getBoundingClientRect();
  const spot = { x: x + width / 2, y: y + height / 2 };
  const key = [selector, spot.x, spot.y].join(' ');
  if (memory.lastSpot !== key) {
    memory.lastSpot = key;
    memory.drawnSpot = undefined;
    const drawn = () => (memory.drawnSpot = key);
    requestAnimationFrame(drawn);
    // A page in the background is not drawn.
    setTimeout(drawn, 1000);
    return null;
  }
  if (memory.drawnSpot !== key) return null;
  memory.lastSpot = undefined;
  if (width === 0 || height === 0) return null;
  memory.reachedSpot = false;
  const meets = ({ target }: Event) => {
    memory.reachedSpot = target instanceof Node && found.contains(target);
  };
  addEventListener('click', meets, { capture: true, once: true });
  return spot;
}
