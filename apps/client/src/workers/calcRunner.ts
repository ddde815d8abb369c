import { call, type CallResult } from '@kelmot/core/calc/call';
import { proxy, wrap, type Remote } from 'comlink';
import type { CalcWorker } from './calc.worker';

/**
 * One worker that is kept between runs. Starting another run, or stopping, ends the one under way: a sum cannot hear a
 * call while it runs, so its worker is put down and a new one made when it is next needed.
 */
export function makeCalcRunner() {
  let worker: Worker | null = null;
  let remote: Remote<CalcWorker> | null = null;
  let busy = false;

  const close = () => {
    worker?.terminate();
    [worker, remote, busy] = [null, null, false];
  };
  const stop = () => {
    if (busy) close();
  };
  const run = async (
    name: string,
    input: unknown,
    report: (share: number) => void,
  ): Promise<CallResult> => {
    stop();
    // Where there are no workers the sum runs here, once what is on the screen has been drawn.
    if (typeof Worker === 'undefined') return Promise.resolve().then(() => call(name, input));
    if (!remote) {
      worker = new Worker(new URL('./calc.worker', import.meta.url));
      remote = wrap<CalcWorker>(worker);
    }
    busy = true;
    try {
      return await remote.run(name, input, proxy(report));
    } finally {
      busy = false;
    }
  };
  return { run, stop, close };
}
