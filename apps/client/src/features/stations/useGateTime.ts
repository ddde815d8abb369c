import type { RepairView } from '@kelmot/contract';
import { useLayoutEffect } from 'react';
import { useClock } from '@/shared/ui/useNow';

/** What may be done with a repair changes by the minute: interval between reads of the clock, ms. */
const LOOK_MS = 5000;

/**
 * The time, by the site's clock, for deciding what may be done with a repair. Read at intervals, and at once after a
 * record, so that a new record is never in the future.
 */
export function useGateTime({
  checks,
  readings,
  mixes,
}: Pick<RepairView, 'checks' | 'readings' | 'mixes'>): number {
  const [now, renew] = useClock(LOOK_MS);
  const records = checks.length + readings.length + mixes.length;
  useLayoutEffect(renew, [records, renew]);
  return now;
}
