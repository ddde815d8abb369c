import type { Command } from '@kelmot/contract';
import { and, count, eq, gt, sql } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { audit } from '../db/audit';
import { ProblemError } from '../common/problemError';

/** Who does something, and from where; null where nobody is known yet, or it comes from this machine itself. */
export interface Doer {
  by: string | null;
  address: string | null;
}

/** A command as the audit keeps it: a picture by its size, since the picture itself is kept once. */
export const told = (command: Command): object =>
  command.type === 'photo.add'
    ? { ...command, data: `${command.data.length} characters` }
    : command;

interface Line {
  type: string;
  body: object;
  repairId?: string;
  commandId?: string;
}

/** Writes a line of the audit: last in its transaction, since the chain is written one line at a time. */
export async function note(db: Db | Tx, { by, address }: Doer, line: Line): Promise<void> {
  await db.insert(audit).values({ by, address, ...line });
}

/**
 * Does something, and notes it where a rule refuses it: in a line of its own, since what was begun is undone. What is not
 * the sender's to mend is no refusal and is not noted.
 */
export async function notingRefusal<T>(
  db: Db | Tx,
  doer: Doer,
  line: Omit<Line, 'type'>,
  work: () => Promise<T>,
): Promise<T> {
  try {
    return await work();
  } catch (error) {
    // Too often is no rule of the work, and a line for each try would fill the audit.
    if (error instanceof ProblemError && error.status < 500 && error.status !== 429) {
      const { title, detail } = error;
      await note(db, doer, { ...line, type: 'refused', body: { title, detail, ...line.body } });
    }
    throw error;
  }
}

/** How many sign-ins under a name were refused in the last minute, wherever they came from. */
export async function refusedLately(db: Db, username: string): Promise<number> {
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
