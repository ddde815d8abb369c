import type { Command, Me, OnDevice } from '@kelmot/contract';
import { useMemo } from 'react';
import type { Waiting } from '@/store/outbox';
import { usePerson } from '@/store/usePerson';
import type { Planning } from './planning';
import { usePlanner } from './usePlanner';

/** Whose what waits on a device is while it is not known who is signed in. */
const NOBODY: Me = { id: '', name: '', username: '', role: 'viewer', siteId: '', approves: [] };

/** What this device knows to lay what waits over what the server said. */
export function useDevice(
  waiting: readonly Waiting<Command>[],
  planning: Planning | null,
): OnDevice {
  const me = usePerson();
  const { plan, zone } = usePlanner(
    waiting.some((w) => w.command.type === 'plan.make'),
    planning,
  );
  return useMemo(() => ({ who: me ?? NOBODY, plan, zone }), [me, plan, zone]);
}
