import assert from 'node:assert/strict';
import { after, afterEach, before } from 'node:test';
import { freshScreen, launch, pagesText, PHONE, Screen, setPresent, type Session } from './browser';
import type { Days } from './days';
import { startServer, type Running } from './server';
import { until } from './signal';

/** The server and browser that all walks of one process share. */
let running: Running | undefined;
let session: Session | undefined;

async function raise(): Promise<void> {
  [running, session] = await Promise.all([startServer(), launch()]);
}

async function strike(): Promise<void> {
  await session?.close();
  await running?.stop();
}

function up<T>(part: T | undefined): T {
  if (part === undefined)
    throw new Error('no server and no browser: call onStage() in the test file');
  return part;
}

export const server = (): Running => up(running);

type Size = { width: number; height: number };

const opened: Screen[] = [];

/** The clock of a page: of its own walk, or so many hours back. */
type When = Days | number;

/** A page in its own context, nobody signed in; the caller closes it. */
export async function ownScreen(size: Size, when: When = 0): Promise<Screen> {
  const hoursBack = typeof when === 'number' ? when : 0;
  const screen = await freshScreen(up(session), server().base, size, hoursBack);
  if (typeof when !== 'number') await when.take(screen);
  return screen;
}

/** A page in its own context, nobody signed in. */
export async function newScreen(size: Size, when: When = 0): Promise<Screen> {
  const screen = await ownScreen(size, when);
  opened.push(screen);
  return screen;
}

/**
 * Closes every page of a walk: its clocks would otherwise continue during the next. Of a walk that failed, the text of
 * the pages is printed first: CI keeps no screenshots.
 */
async function clear(walk: { name?: string; error?: unknown }): Promise<void> {
  if (walk.error) console.error(`pages of “${walk.name}”:\n${await pagesText(opened)}`);
  for (const screen of opened.splice(0)) await screen.page.browserContext().close();
}

/** A second tab of the same device, with the same person. */
export async function beside(screen: Screen): Promise<Screen> {
  const page = await screen.page.browserContext().newPage();
  await setPresent(page);
  return new Screen(page, server().base);
}

/** A page in its own context with a demo person signed in, at the bench. */
export async function signedIn(who: string, size: Size, when: When = 0): Promise<Screen> {
  const screen = await newScreen(size, when);
  await signIn(screen, who);
  return screen;
}

/** Signs a demo person in, and waits for the bench. */
export async function signIn(screen: Screen, who: string): Promise<void> {
  await screen.open('/');
  await screen.press(`demo-${who}`);
  await screen.see('new-repair');
}

/**
 * A planner signs, on their own phone and with a reason, a repair that was done without signal; the technician's page
 * then shows it closed.
 */
export async function signedAfterwards(
  screen: Screen,
  statement: string,
  when: When = 0,
): Promise<void> {
  await screen.matches('withheld', /Not cured yet by the server’s clock/);
  const path = new URL(screen.page.url()).pathname;
  const planner = await ownScreen(PHONE, when);
  await signIn(planner, 'tomas');
  await planner.open(path);
  await planner.type('statement', statement);
  await planner.matches('sign-off', /Enter the reason for signing now/);
  await planner.type('override', 'Done without signal, entered afterwards.');
  await planner.press('sign-off');
  await planner.see('signoff-accepted');
  await planner.says('Done without signal, entered afterwards.');
  // The page shows it before the server has it: closing the page now would lose it.
  await planner.gone('send-state');
  assert.deepEqual(planner.problems, []);
  await planner.page.browserContext().close();
  await screen.page.reload({ waitUntil: 'networkidle2' });
  await screen.see('signoff-accepted');
}

/** Makes a simulated instrument misbehave, and waits until the device has stored it. */
export async function behaves(screen: Screen, id: string, how: string): Promise<void> {
  await screen.open('/settings');
  await screen.press(`misbehaves-${id}-${how}`);
  assert.equal(await screen.attribute(`misbehaves-${id}-${how}`, 'aria-checked'), 'true');
  // A read of a store waits for earlier writes.
  await until(screen, 'state', () => true);
}

/** Gives the walks of a test file their own server and browser. */
export function onStage(): void {
  before(raise);
  afterEach((walk) => clear(walk));
  after(strike);
}
