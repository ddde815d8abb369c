import { LiveState } from '@kelmot/contract';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { v7 as uuidv7 } from 'uuid';
import { api } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { isCommand } from '@/store/outbox';
import type { AppStore, RootState } from '@/store/store';
import { presentSeen } from '@/store/view';

/** The id of this page among one person's pages. */
const TAB = uuidv7();
/** A rejected connection is tried again after this time, ms; a lost one reconnects by itself. */
const AGAIN_MS = 15_000;

/** Handles a live message of a repair: who has it open, and whether the server has a newer version. */
function heard(
  store: AppStore,
  { repairId, before, now }: { repairId: string; before: LiveState | null; now: LiveState },
) {
  const { dispatch, getState } = store;
  dispatch(presentSeen({ repairId, people: now.people }));
  const known = api.endpoints.repair.select(repairId)(getState()).data;
  if (!known) return;
  // Two changes at the same clock time: only the mark differs.
  const atOnce = before?.updatedAt === now.updatedAt && before.mark !== now.mark;
  if (known.updatedAt !== now.updatedAt || atOnce)
    dispatch(api.util.invalidateTags(['Repairs', { type: 'Repair', id: repairId }]));
}

/**
 * While a repair is open and visible, receives every change by others, and tells them who is here and at which step.
 * Off for a repair that only this device knows, and without signal.
 */
export function useLive(id: string | null, step?: string): void {
  const store = useStore<RootState>() as AppStore;
  const signal = useAppSelector((s) => s.view.signal);
  const begun = useAppSelector((s) =>
    s.outbox.queue.some(
      (w) => isCommand(w) && w.command.type === 'repair.create' && w.command.repairId === id,
    ),
  );
  useEffect(() => {
    if (!id || begun || !signal || typeof EventSource === 'undefined') return;
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    let before: LiveState | null = null;
    const close = () => {
      clearTimeout(again);
      source?.close();
      source = null;
    };
    const open = () => {
      close();
      if (document.hidden) return;
      const at = step ? `&step=${encodeURIComponent(step)}` : '';
      source = new EventSource(`/api/repairs/${id}/live?tab=${TAB}${at}`);
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const now = LiveState.parse(JSON.parse(data));
        heard(store, { repairId: id, before, now });
        before = now;
      };
      source.onerror = () => {
        if (source?.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_MS);
      };
    };
    open();
    document.addEventListener('visibilitychange', open);
    return () => {
      document.removeEventListener('visibilitychange', open);
      close();
      store.dispatch(presentSeen(null));
    };
  }, [store, id, step, signal, begun]);
}
