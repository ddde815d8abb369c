import { t } from '@kelmot/core';
import { wrap, type Remote } from 'comlink';

/** Runs one task in its own worker and ends the worker; rejects if it cannot start or finish. */
export async function runInOwnWorker<W, T>(
  start: () => Worker,
  make: (remote: Remote<W>) => Promise<T>,
): Promise<T> {
  const worker = start();
  const lost = new Promise<never>((_, reject) => {
    worker.onerror = () =>
      reject(new Error(t('this part is not on the device, and there is no signal')));
  });
  try {
    return await Promise.race([make(wrap<W>(worker)), lost]);
  } finally {
    worker.terminate();
  }
}
