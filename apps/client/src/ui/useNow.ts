import { useEffect, useState } from 'react';
import { useAppSelector } from '@/store/hooks';

/** The moment by the clock of the site, renewed every `everyMs`: clocks run from saved start times, so nothing is lost when it stops. */
export function useNow(everyMs = 1000): number {
  const aheadMs = useAppSelector((s) => s.clock.aheadMs);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now - aheadMs;
}
