import type { Dispatch } from '@reduxjs/toolkit';
import { readEntries } from '../offline/disk';
import { entriesCame } from './keeper';

const LOCK = 'kelmot-sending';

/**
 * Does something in one tab of this device at a time. Who had to wait for another tab reads first what that one left:
 * it may not have been told of the last of it yet.
 */
export async function inOneTab(dispatch: Dispatch, act: () => Promise<void>): Promise<void> {
  // Left out by browsers on a page without TLS: then what goes out twice has one effect still.
  const locks = globalThis.navigator?.locks;
  if (!locks) return act();
  const got = await locks.request(LOCK, { ifAvailable: true }, async (lock) => {
    if (lock) await act();
    return lock !== null;
  });
  if (got) return;
  await locks.request(LOCK, async () => {
    dispatch(entriesCame((await readEntries()).filter(([key]) => key.startsWith('outbox/'))));
    await act();
  });
}
