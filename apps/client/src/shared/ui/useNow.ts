import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';

const SECOND = 1000;

/** The time by the site's clock, updated every `everyMs` and on request. */
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

/**
 * The time by the site's clock, updated every `everyMs`. Clocks count from saved start times, so nothing is lost if the
 * updates stop.
 */
export const useNow = (everyMs = SECOND): number => useClock(everyMs)[0];

/** Calls `then` once the site's clock reaches `at`. */
export function useAtTime(at: number, then: () => void): void {
  const clock = useAppSelector((s) => s.clock);
  useEffect(() => {
    const timer = setTimeout(then, at - siteTime(clock) + 1);
    return () => clearTimeout(timer);
  }, [at, clock, then]);
}

const beating = new Set<() => void>();
let beat: ReturnType<typeof setInterval> | undefined;

/** One timer for all clocks that show seconds, so that they are drawn together. */
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

/** The value of `read` at the present time of the site's clock: re-renders only when the value changes. */
export function useTick<T extends string | boolean>(read: (now: number) => T): T {
  const clock = useAppSelector((s) => s.clock);
  return useSyncExternalStore(onBeat, () => read(siteTime(clock)));
}
