import { sql } from 'drizzle-orm';
import type { Db, Tx } from './client';

interface Flush {
  begun: boolean;
  done: Promise<void>;
}
const flushes = new WeakMap<Db, Flush>();

/**
 * Waits until all that was committed before this call is on the disk. Whoever asks while a flush is under way waits for
 * the next, together with all others who ask meanwhile: one write of the disk for many. Inside a transaction there is
 * nothing to wait for yet.
 */
export function flushed(db: Db | Tx): Promise<void> {
  if (!('$client' in db)) return Promise.resolve();
  const waiting = flushes.get(db);
  if (waiting && !waiting.begun) return waiting.done;
  const next: Flush = { begun: false, done: Promise.resolve() };
  next.done = (waiting?.done ?? Promise.resolve())
    .catch(() => {})
    .then(async () => {
      next.begun = true;
      // The log is written in order: once this line of it is on the disk, all that came before is.
      await db.execute(sql`select pg_logical_emit_message(true, 'flush', '')`);
    });
  flushes.set(db, next);
  return next.done;
}

/**
 * Runs a transaction and answers once it is on the disk. Its locks are let go as it is committed, before the disk has
 * it, so that what waits for them (the chain of the audit, above all) does not wait for the disk too; nothing is
 * acknowledged before it is kept. Inside another transaction it is a part of that one.
 */
export async function written<T>(db: Db | Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
  if (!('$client' in db)) return db.transaction(work);
  const done = await db.transaction(async (tx) => {
    await tx.execute(sql`set local synchronous_commit = off`);
    return work(tx);
  });
  await flushed(db);
  return done;
}
