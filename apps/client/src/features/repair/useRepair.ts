import { applyCommand, type Command, type RepairView } from '@kelmot/contract';
import { useCallback, useMemo } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useMeQuery, useRepairQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { queued, type Waiting } from '@/store/outbox';

type Draft<C> = C extends Command ? Omit<C, 'id' | 'at' | 'repairId' | 'expect'> : never;

/** Commands that change the repair itself: each carries the version that the person saw. */
const EDITS: readonly Command['type'][] = [
  'survey.save',
  'plan.make',
  'station.move',
  'signoff.add',
];

export interface OpenRepair {
  view: RepairView | undefined;
  error: unknown;
  loading: boolean;
  waiting: Waiting[];
  canWrite: boolean;
  send: (draft: Draft<Command>) => void;
}

/** One repair as it is on the server with what still waits on the device laid over it, and a way to change it. */
export function useRepair(id: string): OpenRepair {
  const { data: me } = useMeQuery();
  const dispatch = useAppDispatch();
  const queue = useAppSelector((s) => s.outbox.queue);
  const waiting = useMemo(() => queue.filter((w) => w.command.repairId === id), [queue, id]);
  // One that is still to be created is not on the server yet: asking for it would only fail.
  const creating = waiting.some((w) => w.command.type === 'repair.create');
  const { data, error, isLoading } = useRepairQuery(id, { skip: creating });
  const name = me?.name ?? '';
  const view = useMemo(
    () =>
      data &&
      waiting.filter((w) => !w.refused).reduce((v, w) => applyCommand(v, w.command, name), data),
    [data, waiting, name],
  );
  const version = data?.version ?? 1;
  const edits = waiting.filter((w) => EDITS.includes(w.command.type)).length;
  const send = useCallback(
    (draft: Draft<Command>) => {
      const expect = EDITS.includes(draft.type) ? { expect: version + edits } : {};
      const command = {
        ...draft,
        ...expect,
        id: uuidv7(),
        at: new Date().toISOString(),
        repairId: id,
      } as Command;
      dispatch(queued(command));
    },
    [dispatch, id, version, edits],
  );
  return {
    view,
    error,
    loading: isLoading,
    waiting,
    canWrite: me !== undefined && me.role !== 'viewer',
    send,
  };
}
