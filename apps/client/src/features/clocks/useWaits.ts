import { isAtWork, type RepairRow } from '@kelmot/contract';
import { useEffect, useMemo, useState } from 'react';
import { useBeyond } from '@/beyond/useBeyond';
import { useViewsHere } from '@/features/repairs/useWaitingViews';
import { nowBy } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { useZone } from '@/ui/useZone';
import type { CallOf } from './useCalls';

/** What the screen asks for itself comes first, ms. */
const CALM_MS = 2500;

/** The moments at which waits of every repair at work are over, and what was ready goes stale; once the page is calm. */
export function useWaits(rows: readonly RepairRow[]): CallOf[] {
  const zone = useZone();
  const clock = useAppSelector((s) => s.clock);
  const [calm, setCalm] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(true), CALM_MS);
    return () => clearTimeout(timer);
  }, []);
  const begun = calm ? rows.filter(isAtWork) : [];
  const named = begun.map((row) => row.id).join(' ');
  const views = useViewsHere(useMemo(() => named.split(' ').filter(Boolean), [named]));
  const all = useBeyond(views.length > 0);
  return useMemo(
    () =>
      views.flatMap((view) =>
        (all?.waitCalls(view, nowBy(clock), zone) ?? []).map((call) => ({ ...call, row: view })),
      ),
    [all, views, zone, clock],
  );
}
