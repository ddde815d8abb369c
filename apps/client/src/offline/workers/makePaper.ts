import type { Remote } from 'comlink';
import { runInOwnWorker } from './runInOwnWorker';
import type { PapersWorker } from './papers.worker';

/** Makes a paper in its own worker; rejects if the worker cannot start or finish. */
export const makePaper = <T>(
  make: (papers: Remote<PapersWorker>) => Promise<T>,
  start = () => new Worker(new URL('./papers.worker', import.meta.url)),
): Promise<T> => runInOwnWorker<PapersWorker, T>(start, make);
