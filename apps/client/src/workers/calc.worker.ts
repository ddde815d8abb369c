import { call, type CallResult } from '@kelmot/core/calc/call';
import { expose } from 'comlink';

/** Less than this further on is not worth telling: each message redraws the screen. */
const STEP = 0.01;

/** Runs a calculation off the screen's thread: the very functions of core, with their progress. */
const worker = {
  run(name: string, input: unknown, report: (share: number) => void): CallResult {
    let told = 0;
    return call(name, input, (share) => {
      if (share < told + STEP) return;
      told = share;
      report(share);
    });
  },
};
export type CalcWorker = typeof worker;

expose(worker);
