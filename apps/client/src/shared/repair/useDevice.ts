import type { Command, Me, OnDevice } from '@kelmot/contract';
import { useMemo } from 'react';
import type { QueuedCommand } from '@/store/outbox';
import { usePerson } from '@/store/usePerson';
import type { Planning } from './planning';
import { useDevicePlanner } from './useDevicePlanner';

/** The author of queued commands while the signed-in person is unknown. */
const NOBODY: Me = { id: '', name: '', username: '', role: 'viewer', siteId: '', approves: [] };

/** What this device needs to apply the outbox to the server's answers. */
export function useDevice(
  waiting: readonly QueuedCommand<Command>[],
  planning: Planning | null,
): OnDevice {
  const me = usePerson();
  const { plan, zone } = useDevicePlanner(
    waiting.some((w) => w.command.type === 'plan.make'),
    planning,
  );
  return useMemo(() => ({ who: me ?? NOBODY, plan, zone }), [me, plan, zone]);
}
