import { fieldsWithoutEffect, type EffectInput } from '@kelmot/core';
import { call, type CallResult } from '@kelmot/core/calculations/call';
import { expose } from 'comlink';

/** Progress steps smaller than this are not sent: each message redraws the screen. */
const STEP = 0.01;

/** Heavy calculations in a worker: the same functions of core, with progress. */
const worker = {
  run(name: string, input: unknown, report: (share: number) => void): CallResult {
    let told = 0;
    return call(name, input, (share) => {
      if (share < told + STEP) return;
      told = share;
      report(share);
    });
  },
  fieldsWithoutEffect: (ask: EffectInput): string[] => fieldsWithoutEffect(ask),
};
export type CoreWorker = typeof worker;

expose(worker);
