import type { Dispatch } from '@reduxjs/toolkit';
import { readEntries } from '../offline/disk';
import { entriesReceived } from './persister';

const LOCK = 'kelmot-sending';

/**
 * Runs `act` in only one tab of this device at a time. A tab that had to wait first reads what the other one stored,
 * because its message may not have arrived yet.
 */
export async function inOneTab(dispatch: Dispatch, act: () => Promise<void>): Promise<void> {
  // Missing in browsers on a page without TLS: then a command may be sent twice, which has one effect.
  const locks = globalThis.navigator?.locks;
  if (!locks) return act();
  const got = await locks.request(LOCK, { ifAvailable: true }, async (lock) => {
    if (lock) await act();
    return lock !== null;
  });
  if (got) return;
  await locks.request(LOCK, async () => {
    dispatch(entriesReceived((await readEntries()).filter(([key]) => key.startsWith('outbox/'))));
    await act();
  });
}
