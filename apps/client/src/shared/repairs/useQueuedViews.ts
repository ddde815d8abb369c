import type { RepairView } from '@kelmot/contract';
import { useMemo } from 'react';
import { useLaterChunk } from '@/shared/laterChunk/useLaterChunk';
import { useDevice } from '@/shared/repair/useDevice';
import { useAppSelector } from '@/store/hooks';
import { isCommand } from '@/store/outbox';
import { useViews } from './useViews';

/** Every repair with queued commands, with these applied. */
export function useQueuedViews(): RepairView[] {
  const queue = useAppSelector((s) => s.outbox.queue);
  const waiting = useMemo(() => queue.filter(isCommand), [queue]);
  const ids = useMemo(() => [...new Set(waiting.map((w) => w.command.repairId))], [waiting]);
  // A repair that is still queued is not on the server: asking for it would fail.
  const known = useMemo(() => {
    const begun = new Set(
      waiting.filter((w) => w.command.type === 'repair.create').map((w) => w.command.repairId),
    );
    return ids.filter((id) => !begun.has(id));
  }, [ids, waiting]);
  const stored = useViews(known);
  const planning = useLaterChunk(waiting.length > 0)?.planning ?? null;
  const device = useDevice(waiting, planning);
  return useMemo(
    () =>
      ids.flatMap((id) => {
        const own = waiting.filter((w) => w.command.repairId === id);
        return planning?.applyOutbox(stored[known.indexOf(id)], own, device) ?? [];
      }),
    [ids, known, stored, waiting, device, planning],
  );
}

/**
 * Repairs by their ids as far as this device has them, with the outbox applied. `ids` must be the same list between
 * changes.
 */
export function useLocalViews(ids: readonly string[]): RepairView[] {
  const known = useViews(ids);
  const waiting = useQueuedViews();
  return useMemo(
    () => ids.flatMap((id, i) => waiting.find((view) => view.id === id) ?? known[i] ?? []),
    [ids, known, waiting],
  );
}
