import type { RepairView } from '@kelmot/contract';
import { useEffect, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import { layOver } from '@/features/repair/layOver';
import { useDevice } from '@/features/repair/useDevice';
import { api } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { isCommand } from '@/store/outbox';

/** Every repair that something waits of on this device, as it will be once that is sent. */
export function useWaitingViews(): RepairView[] {
  const dispatch = useAppDispatch();
  const queue = useAppSelector((s) => s.outbox.queue);
  const waiting = useMemo(() => queue.filter(isCommand), [queue]);
  const ids = useMemo(() => [...new Set(waiting.map((w) => w.command.repairId))], [waiting]);
  const begun = useMemo(
    () =>
      new Set(
        waiting.filter((w) => w.command.type === 'repair.create').map((w) => w.command.repairId),
      ),
    [waiting],
  );
  useEffect(() => {
    const asked = ids
      .filter((id) => !begun.has(id))
      .map((id) => dispatch(api.endpoints.repair.initiate(id)));
    return () => asked.forEach((q) => q.unsubscribe());
  }, [dispatch, ids, begun]);
  const stored = useAppSelector(
    (s) => ids.map((id) => api.endpoints.repair.select(id)(s).data),
    shallowEqual,
  );
  const device = useDevice(waiting);
  return useMemo(
    () =>
      ids.flatMap((id, i) => {
        const own = waiting.filter((w) => w.command.repairId === id);
        return layOver(stored[i], own, device) ?? [];
      }),
    [ids, stored, waiting, device],
  );
}
