import type { Remote } from 'comlink';
import { alone } from './alone';
import type { PapersWorker } from './papers.worker';

/** Makes a paper with a worker of its own; rejects where that can neither be started nor finish. */
export const press = <T>(
  make: (papers: Remote<PapersWorker>) => Promise<T>,
  start = () => new Worker(new URL('./papers.worker', import.meta.url)),
): Promise<T> => alone<PapersWorker, T>(start, make);
