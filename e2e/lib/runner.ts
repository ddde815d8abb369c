import type { Screen } from './browser';
import type { Days } from './days';
import { look } from './look';

/** The content of the run sheet at one moment. */
type Sheet = Readonly<{
  /** Id of the shown task; null when all tasks are done. */
  task: string | null;
  text: string;
  /** The label of the main button; null if another button is shown in its place. */
  label: string | null;
  /** Test ids of the empty input fields. */
  empty: readonly string[];
  ratio: string;
}>;

/** Reads the run sheet from the page; null until the page shows it. */
function sheetShown(): Sheet | null {
  const shown = (start: string) =>
    [...document.querySelectorAll<HTMLElement>(`[data-testid^="${start}"]`)].find((e) =>
      e.checkVisibility({ visibilityProperty: true }),
    );
  const sheet = shown('run-step-');
  if (!sheet && !shown('run-end')) return null;
  const boxes = [...document.querySelectorAll<HTMLInputElement>('input[data-testid]')];
  return {
    task: sheet?.dataset.testid?.slice('run-step-'.length) ?? null,
    text: sheet?.innerText ?? '',
    label: shown('run-do')?.innerText ?? null,
    empty: boxes.filter((box) => box.value === '').map((box) => box.dataset.testid ?? ''),
    ratio: shown('ratio-verdict')?.innerText ?? '',
  };
}
const readSheet = (screen: Screen): Promise<Sheet> => look(screen.page, sheetShown, []);

/** Id of the task that the run sheet shows; null when all tasks are done. */
export const taskShown = async (screen: Screen): Promise<string | null> =>
  (await readSheet(screen)).task;

/** Waits until the sheet shows another task. */
export const goneOn = (screen: Screen, from: string): Promise<void> =>
  screen.gone(`run-step-${from}`).catch(async (error: unknown) => {
    const { label, empty } = await readSheet(screen);
    throw new Error(`${String(error)}\nbutton: ${label}; empty: ${empty.join(', ')}`);
  });

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

/** Valid values for the empty input fields of the run sheet, by test id. */
function valuesFor({ empty, ratio, text }: Sheet): [id: string, text: string][] {
  const named = (start: string) =>
    empty.filter((id) => id.startsWith(start)).map((id) => id.slice(start.length));
  const [, a = '', b = ''] = /Weigh ([\d.]+ \w+) [^,]+, ([\d.]+ \w+)/.exec(ratio) ?? [];
  const values: Record<string, string> = {
    ...(a && { 'weigh-a': a, 'weigh-b': b }),
    ...{ 'gate-airC': '20', 'gate-rhPct': '50', 'gate-surfaceC': '20' },
    ...Object.fromEntries(named('reading-').map((id) => [`reading-${id}`, readingsFor(text)])),
    ...Object.fromEntries(named('name-').map((id) => [`name-${id}`, 'M. Example'])),
    ...Object.fromEntries(named('reference-').map((id) => [`reference-${id}`, 'EX-104'])),
  };
  return Object.entries(values).filter(([id]) => empty.includes(id));
}

/** The moment that a waiting button names; null if it waits for none. */
export const waitedFor = (label: string): string | null =>
  /^(?:From|Wait until|Cured at) (.+?)(?:: |\n|$)/.exec(label)?.[1] ?? null;

/**
 * Does the task with the main button, or moves the clock past a wait. Does nothing if another task is already shown.
 */
export async function doCurrentTask(screen: Screen, task: string, days: Days): Promise<void> {
  const sheet = await readSheet(screen);
  if (sheet.task !== task) return;
  const values = valuesFor(sheet);
  await screen.fill(values);
  // Typed values can change the label of the button.
  const label = values.length > 0 ? await screen.text('run-do') : sheet.label;
  if (label === null) throw new Error(`nothing to press: ${sheet.text}`);
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

/** Longest wait for the run sheet to change after a press, ms. Some presses do not change it. */
const CHANGES_MS = 3000;

/** One press for the shown task, and its result. */
async function once(screen: Screen, task: string, days: Days, again = false): Promise<void> {
  const before = await readSheet(screen);
  try {
    await doCurrentTask(screen, task, days);
  } catch (error) {
    // On a busy machine the sheet may change between reading and acting: try once more.
    if (again) throw error;
    if ((await taskShown(screen)) === task) await once(screen, task, days, true);
    return;
  }
  // The sheet changes once the task is recorded: until then it is still the last one.
  await look(
    screen.page,
    (shown, label) => {
      const button = document.querySelector<HTMLElement>('[data-testid="run-do"]');
      const same = document.querySelector(`[data-testid="run-step-${shown}"]`) !== null;
      return !same || (button?.innerText ?? null) !== label;
    },
    [before.task, before.label],
    CHANGES_MS,
  ).catch(() => undefined);
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
    // The other device keeps the task on its screen only if it shows it by now.
    await other.see(`run-step-${task}`);
    // A task with several presses is done by one person.
    for (let presses = 0; presses < 12 && (await taskShown(own)) === task; presses++)
      await once(own, task, days);
    await other.press('run-back-to-current');
    await goneOn(other, task);
  }
}
