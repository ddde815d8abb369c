import { INSTRUMENTS } from '@kelmot/core/instruments/instrument';
import { demoUsers } from '@kelmot/demo';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { pagesText, PHONE, type Screen } from './lib/browser';
import { Days } from './lib/days';
import { runInTurns, runJob, waitedFor } from './lib/runner';
import { back, cut, kept } from './lib/signal';
import { ownScreen, signedAfterwards, signIn } from './lib/stage';
import { takenAs } from './lib/startRepair';
import { readUnwell } from './lib/faultyInstruments';

/** How a job is run: by one person with signal, or otherwise. */
type How = 'alone' | 'cut' | 'two' | 'unwell' | 'night';

type Job = [family: string, tag: string, how?: How, second?: 'tomas'];
/** One damage of the demo for each family; if somebody must approve, a second person signs. */
export const JOBS: Job[] = [
  ['F5', 'JP-31', 'unwell', 'tomas'],
  ['F1', 'JH-2'],
  ['F2', 'P-204'],
  ['F3', 'SG-2', 'cut'],
  ['F4', 'CP-08', 'two'],
  ['F6', 'BC-3'],
  ['F7', 'TR-6', 'alone', 'tomas'],
  ['F8', 'FL-06', 'cut'],
  ['F9', 'FL-08', 'night'],
  ['F10', 'YD-1'],
  ['F11', 'BS-4'],
  ['F12', 'TK-22'],
  ['F13', 'SU-1'],
  ['F14', 'CT-1', 'cut'],
  ['F15', 'CB-3', 'alone', 'tomas'],
  ['F16', 'LB-1', 'cut'],
];

/** What a clock counted at a step, as the record tells it. */
const COUNTED: Record<string, string> = {
  F1: 'Pressure held: 30 min by the clock.',
  F11: 'At this level, 2 of 2: 30 min by the clock.',
  F12: 'Full of water: 30 min by the clock.',
  F15: 'Under the lamp, 2 of ',
};

type Open = (who: string) => Promise<Screen>;

/** A walk on its own pages with its own clock: walks can run in parallel. */
async function walk(run: (days: Days, open: Open) => Promise<void>): Promise<void> {
  const days = new Days();
  const screens: Screen[] = [];
  try {
    await run(days, async (who) => {
      const screen = await ownScreen(PHONE, days);
      screens.push(screen);
      await signIn(screen, who);
      return screen;
    });
    const problems = screens.flatMap((screen) => screen.problems);
    assert.deepEqual(problems, []);
  } catch (error) {
    throw new Error(`${String(error)}\n--- ${await pagesText(screens)}`, { cause: error });
  } finally {
    for (const screen of screens) await screen.page.browserContext().close();
  }
}

/** States the result and signs; waits for the cure if that takes longer than the work. */
async function sign(screen: Screen, days: Days): Promise<void> {
  await screen.matches('run-end', /All steps are done/);
  await screen.type('statement', 'Looked at all over, sound.');
  const named = waitedFor(await screen.text('sign-off'));
  if (named !== null) await days.until(named);
  await screen.press('sign-off');
  await screen.see('signoff-accepted');
  await screen.gone('send-state');
}

interface Doing {
  days: Days;
  open: Open;
  screen: Screen;
  path: string;
}

/** Runs a job in a certain way, and returns the page for signing; null if it was signed on the way. */
const RUNS: Record<How, (doing: Doing) => Promise<Screen | null>> = {
  alone: async ({ screen, days }) => {
    await runJob(screen, days);
    return screen;
  },
  cut: async ({ screen, days }) => {
    await kept(screen);
    await cut(screen);
    await runJob(screen, days);
    await screen.matches('no-signal', /kept/);
    await back(screen);
    await signedAfterwards(screen, 'Looked at all over, sound.', days);
    return null;
  },
  two: async ({ screen, days, open, path }) => {
    const other = await open('tomas');
    await other.open(path);
    await runInTurns([screen, other], days);
    await other.open(path.replace('/run', '/accept'));
    await other.press('story-open');
    for (const { name } of demoUsers.filter((u) => ['ida', 'tomas'].includes(u.username)))
      await other.says(name);
    return screen;
  },
  unwell: async ({ screen, days, path }) => {
    const met = new Set<string>();
    await runJob(screen, days, () => readUnwell(screen, met, days));
    assert.deepEqual([...met].sort(), [...INSTRUMENTS].sort());
    await screen.open(path.replace('/run', '/accept'));
    await screen.press('story-open');
    for (const name of ['Scale', 'Durometer', 'Cure logger']) await screen.says(`Read by ${name}`);
    await screen.open(path);
    return screen;
  },
  night: async ({ screen, days, open, path }) => {
    // Stops where only a wait of hours is left: the next person continues in the morning.
    await runJob(screen, days, async () => {
      const named = waitedFor(await screen.text('run-do'));
      return named !== null && days.minutesTo(named) > 120;
    });
    await screen.press('run-handover');
    await screen.type('handover-note', 'The sealer is in the warm room.');
    await screen.press('hand-over');
    await screen.matches('handed-over', /saved in the record/);
    await screen.gone('send-state');
    await days.pass(10 * 60);
    const morning = await open('orla');
    await morning.open(path);
    await morning.matches('run-told', /Handed over by Ida/);
    await morning.press('read-told');
    await morning.matches('handed-over', /warm room.*Where it stands/s);
    await morning.press('take-over');
    await morning.see('screen-run');
    const tasks = await runJob(morning, days);
    assert.ok(tasks.length > 5, tasks.join(' '));
    return morning;
  },
};

/** Tests one repair of each family in the list, from Prep to a signed acceptance. */
export function runFamilies(jobs: readonly Job[]): void {
  for (const [family, tag, how = 'alone', second] of jobs)
    test(`${family} as on ${tag}, ${how}`, () =>
      walk(async (days, open) => {
        const screen = await open('ida');
        const path = await takenAs(screen, tag, days);
        await screen.open(path);
        const ran = await RUNS[how]({ days, open, screen, path });
        if (!ran) return;
        const signer = second ? await open(second) : ran;
        if (second || how === 'two') await signer.open(path);
        await sign(signer, days);
        const counted = COUNTED[family];
        if (!counted) return;
        await signer.open(path.replace('/run', '/accept'));
        await signer.press('story-open');
        await signer.says(counted);
      }));
}
