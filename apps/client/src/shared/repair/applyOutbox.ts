import {
  applyCommand,
  createdRepair,
  type Command,
  type OnDevice,
  type RepairView,
} from '@kelmot/contract';
import type { QueuedCommand } from '@/store/outbox';

/**
 * Applies queued commands to the server's last answer (optimistic update), in the order in which they were typed, each
 * as its own author's.
 */
export function applyOutbox(
  stored: RepairView | undefined,
  waiting: readonly QueuedCommand<Command>[],
  device: OnDevice,
): RepairView | undefined {
  const standing = waiting.filter((w) => !w.refused);
  const create = standing.find((w) => w.command.type === 'repair.create')?.command;
  const first = stored ?? (create?.type === 'repair.create' ? createdRepair(create) : undefined);
  return (
    first &&
    standing.reduce(
      (view, { command, by }) =>
        applyCommand(view, command, { ...device, who: { ...device.who, ...by } }),
      first,
    )
  );
}
