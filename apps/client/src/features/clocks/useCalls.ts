import { mixedBatches, type RepairRow } from '@kelmot/contract';
import { callsOf, type Call } from '@kelmot/core';
import { useEffect, useMemo, useRef } from 'react';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { useZone } from '@/shared/ui/useZone';

/** Checks at least this often, ms: a device that slept, or whose clock was set, may be late. */
const LOOK_MS = 30_000;

export interface RepairCall extends Call {
  row: Pick<RepairRow, 'id' | 'tag'>;
}

/**
 * The calls that came due after `since` and until now: the last one of each repair. After an absence only the present
 * state is called.
 */
export function callsDue(calls: readonly RepairCall[], since: number, now: number): RepairCall[] {
  const last = new Map<string, RepairCall>();
  for (const call of calls)
    if (call.at > since && call.at <= now) {
      last.delete(call.row.id);
      last.set(call.row.id, call);
    }
  return [...last.values()];
}

/** Runs `call` at each moment of a running repair and of `waits`. A timer waits for the next moment; nothing polls. */
export function useCalls(
  rows: readonly RepairRow[],
  waits: readonly RepairCall[],
  call: (due: RepairCall) => void,
): void {
  const zone = useZone();
  const clock = useAppSelector((s) => s.clock);
  const calls = useMemo(() => {
    const ofRounds = (row: RepairRow) =>
      row.summary && row.status === 'open'
        ? callsOf(row.summary, mixedBatches(row.mixes), zone).map((c) => ({ ...c, row }))
        : [];
    return [...rows.flatMap(ofRounds), ...waits].sort((p, q) => p.at - q.at);
  }, [rows, waits, zone]);
  const latest = useRef(call);
  useEffect(() => {
    latest.current = call;
  });
  // Calls from before this page opened were made already, or are shown on the bench.
  const since = useRef(siteTime(clock));
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const look = () => {
      clearTimeout(timer);
      const now = siteTime(clock);
      const due = callsDue(calls, since.current, now);
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
