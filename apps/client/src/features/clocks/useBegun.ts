import { isAtWork, type RepairRow, type RepairView } from '@kelmot/contract';
import { useEffect, useMemo, useState } from 'react';
import { useViewsHere } from '@/features/repairs/useWaitingViews';

/** What the screen asks for itself comes first, ms. */
const CALM_MS = 2500;

/** Repairs that are at work, whole, once the page is calm. */
export function useBegun(rows: readonly RepairRow[]): RepairView[] {
  const [calm, setCalm] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(true), CALM_MS);
    return () => clearTimeout(timer);
  }, []);
  const begun = calm ? rows.filter(isAtWork) : [];
  const named = begun.map((row) => row.id).join(' ');
  return useViewsHere(useMemo(() => named.split(' ').filter(Boolean), [named]));
}
