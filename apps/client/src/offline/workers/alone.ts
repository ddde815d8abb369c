import { wrap, type Remote } from 'comlink';

/** Does one thing with a worker of its own, which is put down after it; rejects where it can neither be started nor finish. */
export async function alone<W, T>(
  start: () => Worker,
  make: (remote: Remote<W>) => Promise<T>,
): Promise<T> {
  const worker = start();
  const lost = new Promise<never>((_, reject) => {
    worker.onerror = () =>
      reject(new Error('what does it is not on this device, and there is no signal'));
  });
  try {
    return await Promise.race([make(wrap<W>(worker)), lost]);
  } finally {
    worker.terminate();
  }
}
