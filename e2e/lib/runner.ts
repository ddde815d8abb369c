import { setTimeout as sleep } from 'node:timers/promises';
import { later, type Screen } from './browser';

const there = async (screen: Screen, id: string): Promise<boolean> =>
  (await screen.page.$(`[data-testid="${id}"]`)) !== null;

/** The first of the ids that begin so, without that beginning; null where none is on the screen. */
const shownId = (screen: Screen, start: string): Promise<string | null> =>
  screen.page
    .$eval(`[data-testid^="${start}"]`, (e) => e.getAttribute('data-testid'))
    .then((id) => (id ?? '').slice(start.length))
    .catch(() => null);

/** The deed that the run sheet shows; null when all is done. */
export async function deedShown(screen: Screen): Promise<string | null> {
  await screen.page.waitForSelector('[data-testid^="run-step-"], [data-testid="run-end"]', {
    timeout: 15_000,
    visible: true,
  });
  return shownId(screen, 'run-step-');
}

/** The deed and what its button says: together they change with every press that took effect. */
const atHand = (screen: Screen): Promise<string> =>
  Promise.all([
    shownId(screen, 'run-step-'),
    screen.page.$eval('[data-testid="run-do"]', (e) => e.textContent).catch(() => null),
  ]).then((parts) => parts.join('/'));

/** Waits until the sheet has gone on from a deed. */
export const goneOn = (screen: Screen, from: string): Promise<void> =>
  screen.gone(`run-step-${from}`);

/** Presses the one big button, after the time it takes to settle: a second press sooner is taken for a slip. */
export async function pressDo(screen: Screen): Promise<void> {
  await sleep(520);
  await screen.press('run-do');
}

/** Readings that the limits beside their box allow, read as a person reads them. */
function readingsFor(sheet: string): string {
  const limits = sheet.split('\n').find((line) => /^[\d.].* or (more|less|over)/.test(line)) ?? '';
  const shore = /each (\d+) or over/.exec(limits);
  if (shore)
    return Array(3)
      .fill(Number(shore[1]) + 2)
      .join(' ');
  const mean = /^(\d+) or more; mean ([\d.]+)/.exec(limits);
  if (mean) return Array(Number(mean[1])).fill(mean[2]).join(' ');
  const [least, most] = ['more', 'less'].map((word) => {
    const found = new RegExp(`([\\d.]+)[^,]* or ${word}`).exec(limits);
    return found ? Number(found[1]) : null;
  });
  if (least != null && most != null) return String((least + most) / 2);
  return String(least ?? (most ?? 2) / 2);
}

/** Types what the deed at hand asks for, so that it passes. */
async function typeAsked(screen: Screen, deed: string): Promise<void> {
  if (await there(screen, 'weigh-a')) {
    const [, a = '', b = ''] =
      /Weigh ([\d.]+ \w+) [^,]+, ([\d.]+ \w+)/.exec(await screen.text('ratio-verdict')) ?? [];
    if (a)
      await screen.fill([
        ['weigh-a', a],
        ['weigh-b', b],
      ]);
  }
  if (await there(screen, 'gate-airC'))
    await screen.fill([
      ['gate-airC', '20'],
      ['gate-rhPct', '50'],
      ['gate-surfaceC', '20'],
    ]);
  const reading = await shownId(screen, 'reading-');
  if (reading)
    await screen.type(`reading-${reading}`, readingsFor(await screen.text(`run-step-${deed}`)));
  const approval = await shownId(screen, 'reference-');
  if (approval)
    await screen.fill([
      [`name-${approval}`, 'M. Example'],
      [`reference-${approval}`, 'EX-104'],
    ]);
}

/** A page whose clock stands this many hours back; a wait brings it nearer to now. */
export interface Clock {
  hoursBack: number;
}

/** Does what is at hand by the one big button; a wait is let go by on the page's clock. */
export async function doAtHand(screen: Screen, deed: string, clock: Clock): Promise<void> {
  await typeAsked(screen, deed);
  const label = await screen.text('run-do');
  if (/^(From|Wait until)/.test(label)) {
    clock.hoursBack -= 1;
    await later(screen, clock.hoursBack);
    return;
  }
  if (label.startsWith('Photograph')) {
    await sleep(520);
    return screen.photograph(deed, 'run-do');
  }
  await pressDo(screen);
}

/** Runs a job from where it stands until all is done, deed by deed. Gives the deeds in the order they were shown. */
export async function runJob(screen: Screen, clock: Clock): Promise<string[]> {
  const seen: string[] = [];
  for (let presses = 0; ; presses++) {
    const deed = await deedShown(screen);
    if (deed === null) return seen;
    if (presses > 200) throw new Error(`the run sheet does not get past ${deed}`);
    if (seen.at(-1) !== deed) seen.push(deed);
    const before = await atHand(screen);
    try {
      await doAtHand(screen, deed, clock);
    } catch (error) {
      // On a busy machine the sheet may go on between a look and the deed: then what is at hand is looked at again.
      if ((await deedShown(screen)) === deed) throw error;
      continue;
    }
    // The sheet goes on once the deed is noted: what is read before that is still the last one.
    for (let looks = 0; looks < 30 && (await atHand(screen)) === before; looks++) await sleep(100);
  }
}
