import assert from 'node:assert/strict';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Screen } from './browser';
import type { Days } from './days';
import { behaves } from './stage';

/** How each instrument misbehaves in its turn, and what is said of it. */
const UNWELL: Record<string, readonly [how: string, says: RegExp]> = {
  hygrometer: ['stuck', /it is stuck/],
  film: ['drift', /it drifts/],
  scale: ['drop-out', /Nothing comes from it any more/],
  thickness: ['wrong-unit', /reads like/],
  durometer: ['stuck', /it is stuck/],
  logger: ['drop-out', /Nothing was logged for/],
};

/** A logger is left alone for so long, minutes. */
const LOGGED_MIN = 180;

/**
 * Reads the deed that is shown by the instruments that it offers. Each misbehaves first: that is noticed and nothing is to
 * be taken from it; well again, what it gives is taken. Those in `met` had their turn.
 */
export async function readUnwell(screen: Screen, met: Set<string>, days: Days): Promise<void> {
  const path = new URL(screen.page.url()).pathname;
  const offered = await screen.page.$$eval('[data-testid^="read-"]', (list) =>
    list.map((e) => (e.getAttribute('data-testid') ?? '').slice('read-'.length)),
  );
  for (const id of offered.filter((name) => name in UNWELL)) {
    const [how, says] = UNWELL[id] ?? ['', /^$/];
    if (id === 'logger' && met.has(id)) continue;
    // It is asked once it has something to tell.
    if (id === 'logger') await days.pass(LOGGED_MIN);
    if (!met.has(id)) {
      await behaves(screen, id, how);
      await screen.open(path);
      await screen.press(`read-${id}`);
      await saysInTime(screen, says);
      assert.equal(await screen.attribute('instrument-take', 'aria-disabled'), 'true');
      await behaves(screen, id, 'well');
      await screen.open(path);
      met.add(id);
    }
    await screen.press(`read-${id}`);
    await take(screen);
    // A scale is tared, and the other part poured.
    if (id === 'scale') await take(screen);
    await screen.gone('instrument');
  }
}

/** What misbehaves shows it in its own time. */
async function saysInTime(screen: Screen, says: RegExp): Promise<void> {
  for (let looks = 0; looks < 120; looks++) {
    if (says.test(await screen.text('instrument-state'))) return;
    await sleep(500);
  }
  throw new Error(`it says “${await screen.text('instrument-state')}”, not ${says}`);
}

/** Takes what an instrument shows, once it is at rest. */
async function take(screen: Screen): Promise<void> {
  for (let looks = 0; looks < 120; looks++) {
    if ((await screen.attribute('instrument-take', 'aria-disabled')) !== 'true')
      return screen.press('instrument-take');
    await sleep(500);
  }
  throw new Error(`nothing to take: “${await screen.text('instrument')}”`);
}
