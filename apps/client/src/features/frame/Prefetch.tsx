import { DAY, HOUR } from '@kelmot/core';
import { useEffect, useRef } from 'react';
import { api, useRepairsInfiniteQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useNow } from '@/shared/ui/useNow';

/** Most repairs that are fetched to the device in one run: more than one shift works on. */
const MOST = 40;
/** The screen's own requests come first, ms. */
const CALM_MS = 1500;

/**
 * Fetches what is needed to work without signal: cards, shelf, forecast, assets, and every repair that is pinned, open
 * or due for a look; again when it has changed. One after another. Renders nothing.
 */
export function Prefetch() {
  const dispatch = useAppDispatch();
  const signal = useAppSelector((s) => s.view.signal);
  const { data: open } = useRepairsInfiniteQuery({ status: 'open', q: '' });
  const { data: closed } = useRepairsInfiniteQuery({ status: 'closed', q: '' });
  const now = useNow(HOUR);
  const pins = useAppSelector((s) => s.settings.pinned);
  const had = useRef(new Map<string, string>());
  const rowsOf = (pages: typeof open) => pages?.pages.flatMap((page) => page.rows) ?? [];
  const due = rowsOf(closed).filter((r) => r.dueOn && Date.parse(r.dueOn) <= now + DAY);
  const rows = [...rowsOf(open), ...due];
  // Pinned repairs come first and do not count against the limit.
  const pinned = Object.keys(pins).map(
    (id) => rows.find((r) => r.id === id) ?? { id, updatedAt: '' },
  );
  const others = rows.filter((r) => !pins[r.id]).slice(0, MOST);
  const named = [...pinned, ...others].map((r) => `${r.id}@${r.updatedAt}`).join(' ');
  useEffect(() => {
    if (!signal) return;
    let stopped = false;
    const once = { subscribe: false };
    const { cards, shelf, forecast, assets, here, repair } = api.endpoints;
    const fetchAll = async () => {
      await dispatch(cards.initiate(undefined, once));
      await dispatch(shelf.initiate(undefined, once));
      await dispatch(forecast.initiate(undefined, once));
      await dispatch(assets.initiate(undefined, once));
      await dispatch(here.initiate(undefined, once));
      for (const entry of named.split(' ').filter(Boolean)) {
        if (stopped) return;
        const [id = '', changed = ''] = entry.split('@');
        if (had.current.get(id) === changed) continue;
        const again = { ...once, forceRefetch: had.current.has(id) };
        const { isSuccess } = await dispatch(repair.initiate(id, again));
        if (isSuccess) had.current.set(id, changed);
      }
    };
    const timer = setTimeout(() => void fetchAll(), CALM_MS);
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
  }, [dispatch, signal, named]);
  return null;
}
