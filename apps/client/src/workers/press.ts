import { wrap, type Remote } from 'comlink';
import type { PapersWorker } from './papers.worker';

/** Makes a paper with a worker of its own; rejects where that can neither be started nor finish. */
export async function press<T>(
  make: (papers: Remote<PapersWorker>) => Promise<T>,
  start = () => new Worker(new URL('./papers.worker', import.meta.url)),
): Promise<T> {
  const worker = start();
  const lost = new Promise<never>((_, reject) => {
    worker.onerror = () =>
      reject(new Error('what sets it is not on this device, and there is no signal'));
  });
  try {
    return await Promise.race([make(wrap<PapersWorker>(worker)), lost]);
  } finally {
    worker.terminate();
  }
}
