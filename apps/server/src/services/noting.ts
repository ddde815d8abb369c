import type { Command } from '@kelmot/contract';
import type { Db, Tx } from '../db/client';
import { audit } from '../db/audit';
import { ProblemError } from '../http/problem';

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
    if (error instanceof ProblemError && error.status < 500) {
      const { title, detail } = error;
      await note(db, doer, { ...line, type: 'refused', body: { title, detail, ...line.body } });
    }
    throw error;
  }
}
