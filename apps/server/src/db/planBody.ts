import type { Plan } from '@kelmot/core';
import { eq } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { plans } from './repairs';

/** So many plans are kept read, those that were asked for last: some hundred kilobytes each. */
const MOST_KEPT = 100;
const kept = new Map<string, Plan>();

/**
 * The body of a plan. A plan is written once and never changed, so that one that was read is kept: it is by far the
 * largest thing that is read, and every deed on a repair asks for it. Null where there is none.
 */
export async function planBody(db: Db | Tx, id: string): Promise<Plan | null> {
  const known = kept.get(id);
  if (known) {
    // Asked for last: it is put down last.
    kept.delete(id);
    kept.set(id, known);
    return known;
  }
  const [row] = await db.select({ body: plans.body }).from(plans).where(eq(plans.id, id));
  if (!row) return null;
  for (const oldest of kept.keys()) {
    if (kept.size < MOST_KEPT) break;
    kept.delete(oldest);
  }
  kept.set(id, row.body);
  return row.body;
}
