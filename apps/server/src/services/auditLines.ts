import type { Command } from '@kelmot/contract';
import { and, count, eq, gt, sql } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { audit } from '../db/audit';
import { ProblemError } from '../common/problemError';

/** The person of an action, and their address; null for an unknown person, or for this machine. */
export interface Actor {
  by: string | null;
  address: string | null;
}

/** A command as the audit keeps it: a picture only by its size, because the picture is stored once. */
export const auditText = (command: Command): object =>
  command.type === 'photo.add'
    ? { ...command, data: `${command.data.length} characters` }
    : command;

interface Line {
  type: string;
  body: object;
  repairId?: string;
  commandId?: string;
}

/** Writes an audit line: last in its transaction, because the chain is written one line at a time. */
export async function writeAudit(db: Db | Tx, { by, address }: Actor, line: Line): Promise<void> {
  await db.insert(audit).values({ by, address, ...line });
}

/**
 * Runs an action, and writes a separate audit line if a rule rejects it, because the action is rolled back. Errors that
 * the sender cannot correct are not recorded.
 */
export async function auditRejections<T>(
  db: Db | Tx,
  doer: Actor,
  { line, work }: { line: Omit<Line, 'type'>; work: () => Promise<T> },
): Promise<T> {
  try {
    return await work();
  } catch (error) {
    // Rate limits are not recorded: a line for each try would fill the audit.
    if (error instanceof ProblemError && error.status < 500 && error.status !== 429) {
      const { title, detail } = error;
      await writeAudit(db, doer, {
        ...line,
        type: 'refused',
        body: { title, detail, ...line.body },
      });
    }
    throw error;
  }
}

/** Number of rejected sign-ins for a name within the last minute, from any address. */
export async function recentRejections(db: Db, username: string): Promise<number> {
  const [found] = await db
    .select({ n: count() })
    .from(audit)
    .where(
      and(
        eq(audit.type, 'refused'),
        eq(sql`${audit.body}->>'username'`, username),
        gt(audit.at, sql`now() - interval '1 minute'`),
      ),
    );
  return found?.n ?? 0;
}
