import type { Command, Me, RepairView } from '@kelmot/contract';
import { useCallback, useMemo } from 'react';
import { useRepairQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { waitingOf, type QueuedCommand } from '@/store/outbox';
import { useSend, type CommandDraft } from '@/store/useSend';
import { usePerson } from '@/store/usePerson';
import { planning } from './planning';
import { useDevice } from './useDevice';

type Made = 'id' | 'at' | 'repairId' | 'expect';
/** A command as a screen sends it; the plan of a record is added here. */
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

/** Commands that record on a plan: each names the plan that the person saw. */
const RECORDS: readonly Command['type'][] = [
  'check.set',
  'reading.add',
  'photo.add',
  'mix.start',
  'signoff.add',
];

export interface OpenRepair {
  view: RepairView | undefined;
  error: unknown;
  loading: boolean;
  waiting: QueuedCommand<Command>[];
  canWrite: boolean;
  /** Who is signed in; undefined while that is not known. */
  me: Me | undefined;
  /** Sends a command; an edit carries the version that was `seen`, by default the present one. */
  send: (draft: Draft<Command>, seen?: number) => void;
}

/** One repair: the server's state with the outbox applied, and a function that changes it. */
export function useRepair(id: string): OpenRepair {
  const me = usePerson();
  const queue = useAppSelector((s) => s.outbox.queue);
  const waiting = useMemo(() => waitingOf(queue, id), [queue, id]);
  // A repair that is still queued is not on the server: asking for it would fail.
  const creating = waiting.some((w) => w.command.type === 'repair.create');
  const { data, error, isLoading } = useRepairQuery(id, { skip: creating });
  const device = useDevice(waiting, planning);
  const view = useMemo(() => planning.applyOutbox(data, waiting, device), [data, waiting, device]);
  const version = data?.version ?? 1;
  const planId = view?.plan?.id;
  const put = useSend();
  const send = useCallback(
    (draft: Draft<Command>, seenVersion = version) => {
      // The person knows what this device did before and has not sent yet: the command follows the last of it.
      const expect = EDITS.includes(draft.type) ? { expect: seenVersion } : {};
      const seen = RECORDS.includes(draft.type) ? { planId } : {};
      put({ ...draft, ...expect, ...seen, repairId: id } as CommandDraft);
    },
    [put, id, version, planId],
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
