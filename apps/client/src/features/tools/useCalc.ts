import type { Calc } from '@kelmot/core';
import { call, type CallResult } from '@kelmot/core/calculations/call';
import { useEffect, useMemo, useState } from 'react';
import { proxy } from 'comlink';
import { makeRunner } from '@/offline/workers/runner';

/** After this pause in typing a long calculation starts, ms. */
const SETTLE_MS = 250;

export interface CalcState {
  result: CallResult | null;
  /** Progress in the worker, 0 to 1. */
  busy: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

interface Run {
  key: string;
  share: number;
  result: CallResult | null;
}

/**
 * Runs a calculation live: short ones at once, long ones in a worker after a pause in typing, with progress and stop.
 */
export function useCalc(calc: Calc, input: unknown): CalcState {
  const key = input === null ? '' : JSON.stringify(input);
  const [halted, setHalted] = useState<string | null>(null);
  const [run, setRun] = useState<Run | null>(null);
  const [runner] = useState(makeRunner);
  useEffect(() => runner.close, [runner]);

  const stopped = halted === key;
  useEffect(() => {
    if (!calc.heavy || key === '' || stopped) return;
    let over = false;
    const tell = (share: number, result: CallResult | null) => {
      // Progress comes in its own messages, and may come after the answer.
      if (!over) setRun((r) => (r?.key === key && r.result ? r : { key, share, result }));
    };
    const timer = setTimeout(() => {
      const report = (share: number) => tell(share, null);
      const given = JSON.parse(key);
      void runner
        .run<CallResult>(
          (remote) => remote.run(calc.name, given, proxy(report)),
          () => call(calc.name, given),
        )
        .then((result) => tell(1, result));
    }, SETTLE_MS);
    return () => {
      over = true;
      clearTimeout(timer);
      runner.stop();
    };
  }, [calc, key, stopped, runner]);

  const direct = useMemo(
    () => (calc.heavy || key === '' ? null : call(calc.name, JSON.parse(key))),
    [calc, key],
  );
  const control = { stop: () => setHalted(key), again: () => setHalted(null) };
  if (!calc.heavy || key === '') return { result: direct, busy: null, stopped: false, ...control };
  const mine = run?.key === key ? run : null;
  if (mine?.result) return { result: mine.result, busy: null, stopped: false, ...control };
  return { result: null, busy: stopped ? null : (mine?.share ?? 0), stopped, ...control };
}
