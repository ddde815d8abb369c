import { setTimeout as sleep } from 'node:timers/promises';
import type { Screen } from './browser';
import type { Days } from './days';

/** The first test id with this prefix, without the prefix; null if there is none. */
const shownId = (screen: Screen, start: string): Promise<string | null> =>
  screen.page
    .$eval(`[data-testid^="${start}"]`, (e) => e.getAttribute('data-testid'))
    .then((id) => (id ?? '').slice(start.length))
    .catch(() => null);

/** The task that the run sheet shows; null when all is done. */
export async function taskShown(screen: Screen): Promise<string | null> {
  await screen.drawn('[data-testid^="run-step-"], [data-testid="run-end"]');
  return shownId(screen, 'run-step-');
}

/** The task and its button's label: every effective press changes them. */
const currentTask = (screen: Screen): Promise<string> =>
  Promise.all([
    shownId(screen, 'run-step-'),
    screen.page.$eval('[data-testid="run-do"]', (e) => e.textContent).catch(() => null),
  ]).then((parts) => parts.join('/'));

/** Waits until the sheet shows another task. */
export const goneOn = (screen: Screen, from: string): Promise<void> =>
  screen.gone(`run-step-${from}`);

/** Presses the large button. */
export const pressDo = (screen: Screen): Promise<void> => screen.press('run-do');

/** Readings within the limits beside their box, read from the sheet as a person would. */
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

/** Whether an empty box is shown. */
const asks = (screen: Screen, id: string): Promise<boolean> =>
  screen.page
    .$eval(`[data-testid="${id}"]`, (e) => (e as HTMLInputElement).value === '')
    .catch(() => false);

/** Types valid values for the current task. */
async function typeAsked(screen: Screen, task: string): Promise<void> {
  if (await asks(screen, 'weigh-a')) {
    const [, a = '', b = ''] =
      /Weigh ([\d.]+ \w+) [^,]+, ([\d.]+ \w+)/.exec(await screen.text('ratio-verdict')) ?? [];
    if (a)
      await screen.fill([
        ['weigh-a', a],
        ['weigh-b', b],
      ]);
  }
  if (await asks(screen, 'gate-airC'))
    await screen.fill([
      ['gate-airC', '20'],
      ['gate-rhPct', '50'],
      ['gate-surfaceC', '20'],
    ]);
  const reading = await shownId(screen, 'reading-');
  if (reading && (await asks(screen, `reading-${reading}`)))
    await screen.type(`reading-${reading}`, readingsFor(await screen.text(`run-step-${task}`)));
  const approval = await shownId(screen, 'reference-');
  if (approval)
    await screen.fill([
      [`name-${approval}`, 'M. Example'],
      [`reference-${approval}`, 'EX-104'],
    ]);
}

/** The moment that a waiting button names; null if it waits for none. */
export const waitedFor = (label: string): string | null =>
  /^(?:From|Wait until|Cured at) (.+?)(?:: |\n|$)/.exec(label)?.[1] ?? null;

/** Does the current task with the large button; skips a wait. */
export async function doCurrentTask(screen: Screen, task: string, days: Days): Promise<void> {
  await typeAsked(screen, task);
  const label = await screen.text('run-do');
  const named = waitedFor(label);
  if (named !== null) return days.until(named);
  const counted = /^Wait: .*, ([\d.]+) (s|min)/.exec(label);
  if (counted) return days.pass(Number(counted[1]) / (counted[2] === 's' ? 60 : 1));
  if (label.startsWith('Photograph')) return screen.photograph(task, 'run-do');
  await pressDo(screen);
}

/** Called before each task; true stops the run. */
type Beside = (task: string) => Promise<boolean | void>;

/**
 * Runs a job from its present state until all is done, or until `beside` stops it, task by task. Returns the tasks in
 * the order shown.
 */
export async function runJob(screen: Screen, days: Days, beside?: Beside): Promise<string[]> {
  const seen: string[] = [];
  for (let presses = 0; ; presses++) {
    const task = await taskShown(screen);
    if (task === null) return seen;
    if (presses > 200) throw new Error(`the run sheet does not get past ${task}`);
    if (seen.at(-1) !== task) seen.push(task);
    if ((await beside?.(task)) === true) return seen;
    await once(screen, task, days);
  }
}

/** One press for the shown task, and its result. */
async function once(screen: Screen, task: string, days: Days, again = false): Promise<void> {
  const before = await currentTask(screen);
  try {
    await doCurrentTask(screen, task, days);
  } catch (error) {
    // On a busy machine the sheet may change between reading and acting: try once more.
    if (again) throw error;
    if ((await taskShown(screen)) === task) await once(screen, task, days, true);
    return;
  }
  // The sheet changes once the task is recorded: until then it is still the last one.
  for (let looks = 0; looks < 30 && (await currentTask(screen)) === before; looks++)
    await sleep(100);
}

/** Two people do a job in turns, each on their own phone; the other one goes on after each task. */
export async function runInTurns(pair: readonly [Screen, Screen], days: Days): Promise<string[]> {
  const seen: string[] = [];
  for (let turn = 0; ; turn++) {
    const [own, other] = turn % 2 === 0 ? pair : ([pair[1], pair[0]] as const);
    const task = await taskShown(own);
    if (task === null) return seen;
    if (turn > 200) throw new Error(`the run sheet does not get past ${task}`);
    seen.push(task);
    // A task with several presses is done by one person.
    for (let presses = 0; presses < 12 && (await taskShown(own)) === task; presses++)
      await once(own, task, days);
    await other.press('run-back-to-current');
    await goneOn(other, task);
  }
}
