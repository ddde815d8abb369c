import { call, type CallResult } from '@kelmot/core/calc/call';
import { expose } from 'comlink';

/** Runs a calculation off the screen's thread: the very functions of core, with their progress. */
const worker = {
  run: (name: string, input: unknown, report: (share: number) => void): CallResult =>
    call(name, input, report),
};
export type CalcWorker = typeof worker;

expose(worker);
