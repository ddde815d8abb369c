import { t } from '@kelmot/core';
import { createHash } from 'node:crypto';
import type { Me } from '@kelmot/contract';
import { sql } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { ProblemError } from '../common/problemError';

/** An advisory lock on an id: a repeated or equal request waits for the first one. */
export const lockById = (tx: Tx, id: string) =>
  tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${id}, 0))`);

/** Canonical text: the same content gives the same text in any order of fields. */
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

/** The hash of a write's content, 64 letters; without the expected version, which is set when it is sent. */
export function digestOf({ expect: _expect, ...said }: object & { expect?: unknown }): string {
  return createHash('sha256')
    .update(JSON.stringify(settled(said)))
    .digest('hex');
}

/** Whether a known id comes again with the same content. Refuses other content, or another person. */
export function isRepeat(
  before: { by: string; digest: string | null } | undefined,
  me: Me,
  write: object,
): boolean {
  if (!before) return false;
  if (before.by === me.id && (before.digest === null || before.digest === digestOf(write)))
    return true;
  throw new ProblemError(409, t('This id was used for something else'), {
    detail: t('Make a new id, then send it again.'),
  });
}
