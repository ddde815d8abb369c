import type { Command, Me } from '@kelmot/contract';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { readRepair } from '../db/repairView';
import { repairs } from '../db/repairs';
import { ConflictError } from '../common/problemError';
import type { WeatherService } from './weather';

/** The columns of a repair that a command needs. */
export type Repair = Omit<typeof repairs.$inferSelect, 'survey' | 'search'>;
export type CommandOf<T extends Command['type']> = Extract<Command, { type: T }>;

export interface CommandContext<T extends Command['type'] = Command['type']> {
  tx: Tx;
  me: Me;
  command: CommandOf<T>;
  weather: WeatherService;
  /** The repair, locked for this transaction. */
  repair: Repair;
  /** When the server received the command, by its own clock. */
  received: string;
}

/** The result of a command: the repair's version, and the number of the earlier plan that keeps a record. */
export interface CommandResult {
  version: number;
  keptWith: number | null;
}

/** Throws ConflictError with both states if the repair has changed since the expected version. */
export async function expectVersion(tx: Tx, repair: Repair, expect: number): Promise<void> {
  if (repair.version === expect) return;
  const current = await readRepair(tx, { siteId: repair.siteId, id: repair.id });
  if (current) throw new ConflictError(current);
}

/** Writes changed columns of the repair, with the next version. */
export async function bump(
  { tx, repair, received }: Pick<CommandContext, 'tx' | 'repair' | 'received'>,
  changes: Partial<typeof repairs.$inferInsert> = {},
): Promise<CommandResult> {
  const version = repair.version + 1;
  await tx
    .update(repairs)
    .set({ ...changes, version, updatedAt: received })
    .where(eq(repairs.id, repair.id));
  return { version, keptWith: null };
}

/**
 * Marks the repair as changed by a record. A record is added, not edited, so the version stays: two people can tick at
 * once.
 */
export async function touch(
  { tx, repair, received }: Pick<CommandContext, 'tx' | 'repair' | 'received'>,
  changes: Partial<typeof repairs.$inferInsert> = {},
): Promise<CommandResult> {
  await tx
    .update(repairs)
    .set({ ...changes, updatedAt: received })
    .where(eq(repairs.id, repair.id));
  return { version: repair.version, keptWith: null };
}
