import { HOUR } from '@kelmot/core';
import type { Dispatch } from '@reduxjs/toolkit';
import type { Workbox } from 'workbox-window';
import { updateFound } from '@/store/view';

/** How often it is asked whether there is a newer version. */
const LOOK_MS = HOUR;

let shell: Workbox | null = null;

/**
 * Keeps the application itself on the device, so that it opens without signal, and says when a newer one is there: it is
 * loaded when somebody asks for it, never by itself. Storage is asked to stay.
 */
export async function keepShell(dispatch: Dispatch): Promise<void> {
  if (__DEV__ || !('serviceWorker' in (globalThis.navigator ?? {}))) return;
  const { Workbox } = await import('workbox-window');
  shell = new Workbox('/sw.js');
  shell.addEventListener('waiting', () => dispatch(updateFound()));
  await shell.register();
  // A page stays open for a shift, or a week.
  setInterval(() => void shell?.update().catch(() => undefined), LOOK_MS);
  await navigator.storage?.persist?.();
}

/** Loads the newer version that waits. */
export function takeUpdate(): void {
  shell?.addEventListener('controlling', () => globalThis.location.reload());
  shell?.messageSkipWaiting();
}
