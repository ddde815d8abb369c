import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker';

/**
 * One worker that is kept between sums. Starting another sum, or stopping, ends the one under way: a sum cannot hear a
 * call while it runs, so its worker is put down and a new one made when it is next needed.
 */
export function makeRunner() {
  let worker: Worker | null = null;
  let remote: Remote<CoreWorker> | null = null;
  let busy = false;

  const close = () => {
    worker?.terminate();
    [worker, remote, busy] = [null, null, false];
  };
  const stop = () => {
    if (busy) close();
  };
  /** Runs a sum in the worker; where there are none `here`, once what is on the screen has been drawn. */
  const run = async <T>(
    away: (remote: Remote<CoreWorker>) => Promise<T>,
    here: () => T,
  ): Promise<T> => {
    stop();
    if (typeof Worker === 'undefined') return Promise.resolve().then(here);
    if (!remote) {
      worker = new Worker(new URL('./core.worker', import.meta.url));
      remote = wrap<CoreWorker>(worker);
    }
    busy = true;
    try {
      return await away(remote);
    } finally {
      busy = false;
    }
  };
  return { run, stop, close };
}
