import type { RepairRow, RepairView } from '@kelmot/contract';
import { STATIONS } from '@kelmot/core';
import { useEffect, useMemo, useState } from 'react';
import { useViews } from '@/features/repairs/useViews';
import { useWaitingViews } from '@/features/repairs/useWaitingViews';

/** What the screen asks for itself comes first, ms. */
const CALM_MS = 2500;

/** Whether there is work on it that has clocks: an open repair with its plan, from Prep on. */
const isBegun = ({ status, gist, station }: RepairRow): boolean =>
  status === 'open' && gist !== null && STATIONS.indexOf(station) >= STATIONS.indexOf('prep');

/** Repairs that are at work, whole, as far as this device has them; what waits on it in its place. */
export function useBegun(rows: readonly RepairRow[]): RepairView[] {
  const [calm, setCalm] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(true), CALM_MS);
    return () => clearTimeout(timer);
  }, []);
  const named = calm
    ? rows
        .filter(isBegun)
        .map((row) => row.id)
        .join(' ')
    : '';
  const ids = useMemo(() => named.split(' ').filter(Boolean), [named]);
  const known = useViews(ids);
  const waiting = useWaitingViews();
  return useMemo(
    () => ids.flatMap((id, i) => waiting.find((view) => view.id === id) ?? known[i] ?? []),
    [ids, known, waiting],
  );
}
