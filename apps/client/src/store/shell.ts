import { HOUR } from '@kelmot/core';
import type { Dispatch } from '@reduxjs/toolkit';
import type { Workbox } from 'workbox-window';
import { updateFound } from '@/store/view';

/** Interval between checks for a newer version, ms. */
const LOOK_MS = HOUR;

let shell: Workbox | null = null;

/**
 * Keeps the application on the device, so that it opens without signal, and reports a newer version: it loads only on
 * request. Asks the browser for persistent storage.
 */
export async function installShell(dispatch: Dispatch): Promise<void> {
  if (__DEV__ || !('serviceWorker' in (globalThis.navigator ?? {}))) return;
  const { Workbox } = await import('workbox-window');
  shell = new Workbox('/sw.js');
  shell.addEventListener('waiting', () => dispatch(updateFound()));
  await shell.register();
  // A page may stay open for a shift, or a week.
  setInterval(() => void shell?.update().catch(() => undefined), LOOK_MS);
  await navigator.storage?.persist?.();
}

/** Loads the newer version. */
export function applyUpdate(): void {
  shell?.addEventListener('controlling', () => globalThis.location.reload());
  shell?.messageSkipWaiting();
}
