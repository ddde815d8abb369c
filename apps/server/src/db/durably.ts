import { sql } from 'drizzle-orm';
import type { Db, Tx } from './client';

interface Flush {
  begun: boolean;
  done: Promise<void>;
}
const flushes = new WeakMap<Db, Flush>();

/**
 * Waits until all earlier commits are on disk. Calls during a flush share the next one: one disk write for many. Inside
 * a transaction there is nothing to wait for yet.
 */
export function waitForDisk(db: Db | Tx): Promise<void> {
  if (!('$client' in db)) return Promise.resolve();
  const waiting = flushes.get(db);
  if (waiting && !waiting.begun) return waiting.done;
  const next: Flush = { begun: false, done: Promise.resolve() };
  next.done = (waiting?.done ?? Promise.resolve())
    .catch(() => {})
    .then(async () => {
      next.begun = true;
      // The write-ahead log is written in order: once this entry is on disk, all earlier ones are.
      await db.execute(sql`select pg_logical_emit_message(true, 'flush', '')`);
    });
  flushes.set(db, next);
  return next.done;
}

/**
 * Runs a transaction and returns once it is on disk. Its locks are released at commit, before the disk write, so that
 * other transactions (above all the audit chain) do not wait for the disk; but nothing is acknowledged before it is on
 * disk. Inside another transaction it is part of that one.
 */
export async function durably<T>(db: Db | Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
  if (!('$client' in db)) return db.transaction(work);
  const done = await db.transaction(async (tx) => {
    await tx.execute(sql`set local synchronous_commit = off`);
    return work(tx);
  });
  await waitForDisk(db);
  return done;
}
