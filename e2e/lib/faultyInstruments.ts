import assert from 'node:assert/strict';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Screen } from './browser';
import type { Days } from './days';
import { behaves } from './stage';

/** How each instrument misbehaves in turn, and the expected message. */
const UNWELL: Record<string, readonly [how: string, says: RegExp]> = {
  hygrometer: ['stuck', /it is stuck/],
  film: ['drift', /it drifts/],
  scale: ['drop-out', /Connection lost/],
  thickness: ['wrong-unit', /looks like/],
  durometer: ['stuck', /it is stuck/],
  logger: ['drop-out', /No readings for/],
};

/** How long a logger records, minutes. */
const LOGGED_MIN = 180;

/**
 * Reads the current task with the instruments that it offers. Each misbehaves first: that must be detected, and nothing
 * may be taken; then it works and its value is taken. Instruments in `met` are done.
 */
export async function readUnwell(screen: Screen, met: Set<string>, days: Days): Promise<void> {
  const path = new URL(screen.page.url()).pathname;
  const offered = await screen.page.$$eval('[data-testid^="read-"]', (list) =>
    list.map((e) => (e.getAttribute('data-testid') ?? '').slice('read-'.length)),
  );
  for (const id of offered.filter((name) => name in UNWELL)) {
    const [how, says] = UNWELL[id] ?? ['', /^$/];
    if (id === 'logger' && met.has(id)) continue;
    // Read once it has data.
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
    // A scale is tared, then the other part is poured.
    if (id === 'scale') await take(screen);
    await screen.gone('instrument');
  }
}

/** A fault appears after some time. */
async function saysInTime(screen: Screen, says: RegExp): Promise<void> {
  for (let looks = 0; looks < 120; looks++) {
    if (says.test(await screen.text('instrument-state'))) return;
    await sleep(500);
  }
  throw new Error(`it says “${await screen.text('instrument-state')}”, not ${says}`);
}

/** Takes an instrument's value, once it is steady. */
async function take(screen: Screen): Promise<void> {
  for (let looks = 0; looks < 120; looks++) {
    if ((await screen.attribute('instrument-take', 'aria-disabled')) !== 'true')
      return screen.press('instrument-take');
    await sleep(500);
  }
  throw new Error(`nothing to take: “${await screen.text('instrument')}”`);
}
