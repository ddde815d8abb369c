import { freshScreen, launch, type Screen, type Session } from './browser';
import { startServer, type Running } from './server';

/** The one server and the one browser that all walks share. */
let running: Running | undefined;
let session: Session | undefined;

export async function raise(): Promise<void> {
  [running, session] = await Promise.all([startServer(), launch()]);
}

export async function strike(): Promise<void> {
  await session?.close();
  await running?.stop();
}

function up<T>(part: T | undefined): T {
  if (part === undefined) throw new Error('the stage is not up: raise() comes first');
  return part;
}

export const server = (): Running => up(running);

type Size = { width: number; height: number };

/** A page of its own, nobody signed in. */
export const newScreen = (size: Size, hoursBack = 0): Promise<Screen> =>
  freshScreen(up(session), server().base, size, hoursBack);

/** A page of its own with one of the demo people signed in, at the bench. */
export async function signedIn(who: string, size: Size, hoursBack = 0): Promise<Screen> {
  const screen = await newScreen(size, hoursBack);
  await screen.open('/');
  await screen.press(`demo-${who}`);
  await screen.see('new-repair');
  return screen;
}
