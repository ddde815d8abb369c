import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { nowBy } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';

const SECOND = 1000;

/** The moment by the clock of the site, renewed every `everyMs` and whenever it is asked for. */
export function useClock(everyMs: number): [now: number, renew: () => void] {
  const clock = useAppSelector((s) => s.clock);
  const [now, setNow] = useState(() => Date.now());
  const renew = useCallback(() => setNow(Date.now()), []);
  useEffect(() => {
    const timer = setInterval(renew, everyMs);
    return () => clearInterval(timer);
  }, [everyMs, renew]);
  return [now - clock.aheadMs, renew];
}

/** The moment by the clock of the site, renewed every `everyMs`: clocks run from saved start times, so nothing is lost when it stops. */
export const useNow = (everyMs = SECOND): number => useClock(everyMs)[0];

/** Calls `then` once the moment `at` of the site’s clock has come. */
export function useAt(at: number, then: () => void): void {
  const clock = useAppSelector((s) => s.clock);
  useEffect(() => {
    const timer = setTimeout(then, at - nowBy(clock) + 1);
    return () => clearTimeout(timer);
  }, [at, clock, then]);
}

const beating = new Set<() => void>();
let beat: ReturnType<typeof setInterval> | undefined;

/** One beat a second for every clock that shows seconds, so that they are drawn together. */
function onBeat(told: () => void): () => void {
  beating.add(told);
  beat ??= setInterval(() => beating.forEach((tell) => tell()), SECOND);
  return () => {
    beating.delete(told);
    if (beating.size > 0) return;
    clearInterval(beat);
    beat = undefined;
  };
}

/** What `read` makes of the moment by the clock of the site: drawn anew only in the second in which that is another. */
export function useBeat<T extends string | boolean>(read: (now: number) => T): T {
  const clock = useAppSelector((s) => s.clock);
  return useSyncExternalStore(onBeat, () => read(nowBy(clock)));
}
