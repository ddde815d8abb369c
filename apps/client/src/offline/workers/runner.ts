import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker';

/**
 * One worker that is kept between calculations. A new calculation, or a stop, ends the running one: a running
 * calculation cannot receive messages, so its worker is ended and a new one is started when needed.
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
  /** Runs a calculation in the worker; without workers runs it `here`, after the screen is drawn. */
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
