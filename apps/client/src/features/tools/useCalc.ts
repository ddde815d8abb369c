import type { Calc } from '@kelmot/core';
import { call, type CallResult } from '@kelmot/core/calc/call';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { makeCalcRunner } from '@/workers/calcRunner';

/** A pause in typing this long starts a long sum. */
const SETTLE_MS = 250;

export interface CalcState {
  result: CallResult | null;
  /** Under way in the worker: how far, 0 to 1. */
  busy: number | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

interface Run {
  key: string;
  share: number;
  result: CallResult | null;
  stopped: boolean;
}

/** Runs a calculation live: short ones at once, long ones in a worker after a pause in typing, with progress and stop. */
export function useCalc(calc: Calc, input: unknown): CalcState {
  const key = input === null ? '' : `${calc.name}${JSON.stringify(input)}`;
  const [round, setRound] = useState(0);
  const [run, setRun] = useState<Run | null>(null);
  const runner = useMemo(makeCalcRunner, []);
  useEffect(() => runner.close, [runner]);
  useEffect(() => {
    if (!calc.heavy || key === '') return;
    let over = false;
    const mine = (change: Partial<Run>) => {
      if (!over)
        setRun((r) => ({
          key,
          share: 0,
          result: null,
          stopped: false,
          ...(r?.key === key ? r : {}),
          ...change,
        }));
    };
    const timer = setTimeout(() => {
      mine({ share: 0, result: null, stopped: false });
      const parsed = JSON.parse(key.slice(calc.name.length)) as unknown;
      void runner
        .run(calc.name, parsed, (share) => mine({ share }))
        .then((result) => mine({ result }));
    }, SETTLE_MS);
    return () => {
      over = true;
      clearTimeout(timer);
      runner.stop();
    };
  }, [calc, key, round, runner]);

  const stop = useCallback(() => {
    runner.stop();
    setRun((r) => r && { ...r, stopped: true });
  }, [runner]);
  const again = useCallback(() => setRound((n) => n + 1), []);

  const direct = useMemo(
    () =>
      calc.heavy || key === ''
        ? null
        : call(calc.name, JSON.parse(key.slice(calc.name.length)) as unknown),
    [calc, key],
  );
  if (!calc.heavy || key === '') return { result: direct, busy: null, stopped: false, stop, again };
  const mine = run?.key === key ? run : null;
  const stopped = mine?.stopped === true && mine.result === null;
  return {
    // While the next one runs the last answer stays in sight.
    result: mine?.result ?? (stopped ? null : (run?.result ?? null)),
    busy: mine?.result || stopped ? null : (mine?.share ?? 0),
    stopped,
    stop,
    again,
  };
}
