import { useEffect, useState } from 'react';

/** The moment, renewed every `everyMs`: clocks run from saved start times, so nothing is lost when it stops. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
