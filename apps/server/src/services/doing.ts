import type { Command, Me } from '@kelmot/contract';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { readRepair } from '../db/repairQueries';
import { repairs } from '../db/repairs';
import { ConflictError } from '../http/problem';
import type { WeatherService } from './weather';

export type Repair = typeof repairs.$inferSelect;
export type CommandOf<T extends Command['type']> = Extract<Command, { type: T }>;

export interface Doing<T extends Command['type'] = Command['type']> {
  tx: Tx;
  me: Me;
  command: CommandOf<T>;
  weather: WeatherService;
  /** The repair, locked for this transaction. */
  repair: Repair;
}

/** A version older than the stored one means someone else wrote in between: both states go back. */
export async function expectVersion(tx: Tx, repair: Repair, expect: number): Promise<void> {
  if (repair.version === expect) return;
  const current = await readRepair(tx, repair.id);
  if (current) throw new ConflictError(current);
}

/** Writes changed columns of the repair, with the next version. */
export async function bump(
  tx: Tx,
  repair: Repair,
  at: string,
  changes: Partial<Repair> = {},
): Promise<number> {
  const version = repair.version + 1;
  await tx
    .update(repairs)
    .set({ ...changes, version, updatedAt: at })
    .where(eq(repairs.id, repair.id));
  return version;
}

/** Notes that something was recorded. A record is added, not edited, so the version stays: two people can tick at once. */
export async function touch(
  tx: Tx,
  repair: Repair,
  at: string,
  changes: Partial<Repair> = {},
): Promise<number> {
  await tx
    .update(repairs)
    .set({ ...changes, updatedAt: at })
    .where(eq(repairs.id, repair.id));
  return repair.version;
}
