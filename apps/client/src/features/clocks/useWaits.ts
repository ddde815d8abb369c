import { isAtWork, type RepairRow } from '@kelmot/contract';
import { useEffect, useMemo, useState } from 'react';
import { useLaterChunk } from '@/shared/laterChunk/useLaterChunk';
import { useLocalViews } from '@/shared/repairs/useQueuedViews';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { useZone } from '@/shared/ui/useZone';
import type { StartedClockOf } from './running';
import type { RepairCall } from './useCalls';

/** The screen's own requests come first, ms. */
const CALM_MS = 2500;

interface WaitsOf {
  calls: readonly RepairCall[];
  started: readonly StartedClockOf[];
}

/**
 * The clocks that were started in every repair at work, and the moments when they end or when a prepared surface
 * becomes too old. Loads once the page is idle.
 */
export function useWaits(rows: readonly RepairRow[]): WaitsOf {
  const zone = useZone();
  const clock = useAppSelector((s) => s.clock);
  const [calm, setCalm] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(true), CALM_MS);
    return () => clearTimeout(timer);
  }, []);
  const begun = calm ? rows.filter(isAtWork) : [];
  const named = begun.map((row) => row.id).join(' ');
  const views = useLocalViews(useMemo(() => named.split(' ').filter(Boolean), [named]));
  const all = useLaterChunk(views.length > 0);
  return useMemo(() => {
    const now = siteTime(clock);
    const calls = views.flatMap((view) =>
      (all?.waitCalls(view, now, zone) ?? []).map((call) => ({ ...call, row: view })),
    );
    const started = views.flatMap((view) => {
      const plan = view.plan?.body;
      const stations = new Map(plan?.steps.map((step) => [step.id, step.station]));
      return (plan && all ? all.startedClocks(view, plan) : []).flatMap(({ stepId, label, at }) => {
        const station = stations.get(stepId ?? '');
        return station && at > now ? [{ row: view, station, label, at }] : [];
      });
    });
    return { calls, started };
  }, [all, views, zone, clock]);
}
