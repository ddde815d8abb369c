import { createHash } from 'node:crypto';
import type { Me } from '@kelmot/contract';
import { sql } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { ProblemError } from '../common/problemError';

/** Whoever sends the same id, or does the same thing, waits here until the first of them is done. */
export const oneAtATime = (tx: Tx, id: string) =>
  tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`);

/** The same text for the same content, in whatever order its fields came. */
const settled = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(
        Object.entries(value)
          .sort(([a], [b]) => (a < b ? -1 : 1))
          .map(([key, part]) => [key, settled(part)]),
      )
    : Array.isArray(value)
      ? value.map(settled)
      : value;

/** What a write says, in 64 letters: the version that was seen is no part of it, since it is set when it is sent. */
export function digestOf({ expect: _expect, ...said }: object & { expect?: unknown }): string {
  return createHash('sha256')
    .update(JSON.stringify(settled(said)))
    .digest('hex');
}

/** Whether an id that is known comes again with what it said then. Refuses one that says something else, or by another. */
export function isAgain(
  before: { by: string; digest: string | null } | undefined,
  me: Me,
  write: object,
): boolean {
  if (!before) return false;
  if (before.by === me.id && (before.digest === null || before.digest === digestOf(write)))
    return true;
  throw new ProblemError(
    409,
    'This id was used for something else',
    'Make a new id, then send it again.',
  );
}
