import type { RepairView } from '@kelmot/contract';
import { useLayoutEffect } from 'react';
import { useClock } from '@/shared/ui/useNow';

/** What may be done with a repair changes by the minute: its clock is looked at no more often than this, ms. */
const LOOK_MS = 5000;

/**
 * The moment for what may be done with a repair, by the clock of the site: looked at now and then, and at once when
 * something is recorded, so that what was just done is not still to come.
 */
export function useNowOf({
  checks,
  readings,
  mixes,
}: Pick<RepairView, 'checks' | 'readings' | 'mixes'>): number {
  const [now, renew] = useClock(LOOK_MS);
  const records = checks.length + readings.length + mixes.length;
  useLayoutEffect(renew, [records, renew]);
  return now;
}
