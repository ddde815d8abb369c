import { mixedBatches, type RepairRow } from '@kelmot/contract';
import { callsOf, type Call } from '@kelmot/core';
import { useEffect, useMemo, useRef } from 'react';
import { nowBy } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { useZone } from '@/shared/ui/useZone';

/** It is looked again this often at least: a device that slept, or whose clock was set, is behind, ms. */
const LOOK_MS = 30_000;

export interface CallOf extends Call {
  row: Pick<RepairRow, 'id' | 'tag'>;
}

/**
 * What of `calls` came due after `since` and until now, the last of each repair: who was away is told how it stands, and
 * not all that it was meanwhile.
 */
export function dueOf(calls: readonly CallOf[], since: number, now: number): CallOf[] {
  const last = new Map<string, CallOf>();
  for (const call of calls)
    if (call.at > since && call.at <= now) {
      last.delete(call.row.id);
      last.set(call.row.id, call);
    }
  return [...last.values()];
}

/**
 * Tells `call` of every moment of a running repair as it comes, and of those in `waits`: no clock ticks for it, a timer
 * waits for the next.
 */
export function useCalls(
  rows: readonly RepairRow[],
  waits: readonly CallOf[],
  call: (due: CallOf) => void,
): void {
  const zone = useZone();
  const clock = useAppSelector((s) => s.clock);
  const calls = useMemo(() => {
    const ofRounds = (row: RepairRow) =>
      row.gist && row.status === 'open'
        ? callsOf(row.gist, mixedBatches(row.mixes), zone).map((c) => ({ ...c, row }))
        : [];
    return [...rows.flatMap(ofRounds), ...waits].sort((p, q) => p.at - q.at);
  }, [rows, waits, zone]);
  const latest = useRef(call);
  useEffect(() => {
    latest.current = call;
  });
  // What was before this page was opened has been told, or stands on the bench.
  const since = useRef(nowBy(clock));
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const look = () => {
      clearTimeout(timer);
      const now = nowBy(clock);
      const due = dueOf(calls, since.current, now);
      since.current = now;
      due.forEach((c) => latest.current(c));
      const next = calls.find((c) => c.at > now);
      timer = setTimeout(look, Math.min(LOOK_MS, Math.max(0, (next?.at ?? Infinity) - now) + 5));
    };
    look();
    const page = typeof document === 'undefined' ? null : document;
    page?.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(timer);
      page?.removeEventListener('visibilitychange', look);
    };
  }, [calls, clock]);
}
