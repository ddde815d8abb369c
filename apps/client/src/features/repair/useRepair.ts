import { applyCommand, type Command, type Me, type RepairView } from '@kelmot/contract';
import { useCallback, useMemo } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useMeQuery, useRepairQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { queued, type Waiting } from '@/store/outbox';

type Made = 'id' | 'at' | 'repairId' | 'expect';
/** A command as a screen sends it; which plan a record is made on is seen here. */
type Draft<C> = C extends { type: 'plan.make' }
  ? Omit<C, Made>
  : C extends Command
    ? Omit<C, Made | 'planId'>
    : never;

/** Commands that change the repair itself: each carries the version that the person saw. */
const EDITS: readonly Command['type'][] = [
  'survey.save',
  'plan.make',
  'station.move',
  'signoff.add',
];

/** What is recorded on a plan: each names the one that the person saw. */
const RECORDS: readonly Command['type'][] = [
  'check.set',
  'reading.add',
  'photo.add',
  'mix.start',
  'signoff.add',
];

/** Whose what waits on a device is while it is not known who is signed in. */
const NOBODY: Me = { id: '', name: '', username: '', role: 'viewer', siteId: '', approves: [] };

export interface OpenRepair {
  view: RepairView | undefined;
  error: unknown;
  loading: boolean;
  waiting: Waiting[];
  canWrite: boolean;
  /** Who is signed in; undefined while that is not known. */
  me: Me | undefined;
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
  const who = me ?? NOBODY;
  const view = useMemo(
    () =>
      data &&
      waiting.filter((w) => !w.refused).reduce((v, w) => applyCommand(v, w.command, who), data),
    [data, waiting, who],
  );
  const version = data?.version ?? 1;
  const planId = data?.plan?.id;
  const edits = waiting.filter((w) => EDITS.includes(w.command.type)).length;
  const send = useCallback(
    (draft: Draft<Command>) => {
      const expect = EDITS.includes(draft.type) ? { expect: version + edits } : {};
      const seen = RECORDS.includes(draft.type) ? { planId } : {};
      const command = {
        ...draft,
        ...expect,
        ...seen,
        id: uuidv7(),
        at: new Date().toISOString(),
        repairId: id,
      } as Command;
      dispatch(queued(command));
    },
    [dispatch, id, version, planId, edits],
  );
  return {
    view,
    error,
    loading: isLoading,
    waiting,
    me,
    canWrite: me !== undefined && me.role !== 'viewer',
    send,
  };
}
