import { mixedBatches, type RepairRow, type RepairView } from '@kelmot/contract';
import {
  MINUTE,
  nextAction,
  STATION_NAMES,
  stripsOf,
  word,
  type NextAction,
  type Zone,
  type RoundStrip,
} from '@kelmot/core';
import { useMemo } from 'react';
import { useLaterChunk } from '@/shared/laterChunk/useLaterChunk';
import { useRepairsInfiniteQuery, type RepairsQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { useAtTime, useClock } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useLocalViews, useQueuedViews } from './useQueuedViews';

export interface BenchRow {
  row: RepairRow;
  act: NextAction | null;
  /** Every round that has begun and is not covered yet, one strip each. */
  strips: RoundStrip[];
  /** The text at the right end of the row. */
  say: string;
}

/** The group of a row on the bench. */
export type Place = 'running' | 'stopped' | 'waiting';
export const placeOf = ({ row, act }: BenchRow): Place =>
  act ? 'running' : row.stop ? 'stopped' : 'waiting';

const ORDER: Record<Place, number> = { running: 0, stopped: 1, waiting: 2 };

/** Order: running, then stopped, then not begun. */
function sooner(p: BenchRow, q: BenchRow): number {
  const place = ORDER[placeOf(p)] - ORDER[placeOf(q)];
  if (place !== 0) return place;
  // A row without a clock comes after those with one.
  const at = (a: BenchRow) =>
    a.act?.clockTo ?? Date.parse(a.row.backBy) + (a.act ? Number.MAX_SAFE_INTEGER / 2 : 0);
  return at(p) - at(q);
}

function shortSay(row: RepairRow, act: NextAction | null): string {
  if (!act) return row.stop ? 'stop' : STATION_NAMES[row.station];
  if (act.phase === 'ready') return 'inspect';
  return word(act.short);
}

/** Adds its present text to each row. `now` in epoch ms. */
export const benchRowsOf = (rows: RepairRow[], now: number, zone: Zone): BenchRow[] =>
  rows.map((row) => {
    const act =
      row.summary && row.status === 'open'
        ? nextAction(row.summary, mixedBatches(row.mixes), { now, zone })
        : null;
    const strips =
      row.summary && act
        ? stripsOf(row.summary, mixedBatches(row.mixes), now).filter(
            (s, i, all) => s.begun && (s.round.needed !== null || !all[i + 1]?.begun),
          )
        : [];
    return { row, act, strips, say: row.status === 'closed' ? 'closed' : shortSay(row, act) };
  });

/** The filter of a list: a query to the server, or what is pinned to this device. */
export interface ListQuery {
  status: RepairsQuery['status'] | 'pinned';
  q: string;
  sort?: RepairsQuery['sort'];
  order?: RepairsQuery['order'];
}

/** Whether a list's filter includes a row; a search text is matched as on the server. */
const asksFor = ({ status, q }: ListQuery, row: RepairRow): boolean =>
  (status === 'all' || status === 'pinned' || row.status === status) &&
  `${row.tag} ${row.assetName} ${row.position} ${row.title}`
    .toLowerCase()
    .includes(q.trim().toLowerCase());

/** The rows of a list with the outbox applied: a new repair is listed, a clock runs, at once. */
export function withOutbox(
  rows: RepairRow[],
  own: readonly RepairRow[],
  query: ListQuery,
): RepairRow[] {
  if (own.length === 0) return rows;
  const known = new Set(own.map((row) => row.id));
  if (query.sort) {
    const listed = new Set(rows.map((row) => row.id));
    const fresh = own.filter((row) => asksFor(query, row) && !listed.has(row.id));
    return [...fresh, ...rows.map((row) => own.find(({ id }) => id === row.id) ?? row)];
  }
  return [...own.filter((row) => asksFor(query, row)), ...rows.filter((row) => !known.has(row.id))];
}

const NONE: string[] = [];

/** Repairs as list rows, once the code for that is loaded. */
function useRowsOf(views: readonly RepairView[]): RepairRow[] {
  const planning = useLaterChunk(views.length > 0)?.planning;
  return useMemo(() => (planning ? views.map(planning.rowOf) : []), [planning, views]);
}

/** The repairs that are pinned to this device; empty where they are not asked for. */
function usePinned(asked: boolean): RepairRow[] {
  const pinned = useAppSelector((s) => s.settings.pinned);
  return useRowsOf(
    useLocalViews(useMemo(() => (asked ? Object.keys(pinned) : NONE), [asked, pinned])),
  );
}

/** The repairs of a query as this device has them, with the outbox applied. */
export function useRows({ status, q, sort, order }: ListQuery) {
  const ofDevice = status === 'pinned';
  const result = useRepairsInfiniteQuery(
    { status: ofDevice ? 'all' : status, q, ...(sort && { sort, order }) },
    {
      pollingInterval: 20_000,
      skip: ofDevice,
      // A repeated request re-renders nothing; only a changed answer does.
      selectFromResult: ({ data, error, isLoading, hasNextPage }) => ({
        ...{ data, error, isLoading, hasNextPage },
      }),
    },
  );
  const pinned = usePinned(ofDevice);
  const own = useRowsOf(useQueuedViews());
  const rows = useMemo(() => {
    const query = { status, q, sort };
    return ofDevice
      ? pinned.filter((row) => asksFor(query, row))
      : withOutbox(result.data?.pages.flatMap((p) => p.rows) ?? [], own, query);
  }, [ofDevice, pinned, result.data, own, status, q, sort]);
  return { ...result, rows };
}

/**
 * The repairs of a query with their next actions, soonest first, and the time they apply to: the present minute, or the
 * end of the last clock. The clocks themselves show seconds.
 */
export function useBenchRows(query: ListQuery) {
  const { rows, ...result } = useRows(query);
  const zone = useZone();
  const [now, renew] = useClock(MINUTE);
  const benchRows = useMemo(() => {
    const list = benchRowsOf(rows, now, zone);
    return query.status === 'open' && !query.sort ? list.sort(sooner) : list;
  }, [rows, now, zone, query.status, query.sort]);
  const ends = benchRows.flatMap(({ act }) =>
    act?.clockTo && act.clockTo > now ? act.clockTo : [],
  );
  useAtTime(Math.min(...ends, (Math.floor(now / MINUTE) + 1) * MINUTE), renew);
  return { ...result, benchRows, now };
}
