import type { Plan } from '@kelmot/core';
import { eq } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { plans } from './repairs';

/** A plan as it was written, with its place among the plans of its repair. */
export interface PlanRead {
  id: string;
  repairId: string;
  siteId: string;
  number: number;
  body: Plan;
}

/** So many plans are kept read, those that were asked for last: some hundred kilobytes each. */
const MOST_KEPT = 100;
const kept = new Map<string, PlanRead>();

/**
 * A plan by its id. It is written once and never changed, so that one that was read is kept: it is by far the largest
 * thing that is read, and every deed on a repair asks for it. Null where there is none.
 */
export async function readPlan(db: Db | Tx, id: string): Promise<PlanRead | null> {
  const known = kept.get(id);
  if (known) {
    // Asked for last: it is put down last.
    kept.delete(id);
    kept.set(id, known);
    return known;
  }
  const { id: planId, repairId, siteId, number, body } = plans;
  const [row] = await db
    .select({ id: planId, repairId, siteId, number, body })
    .from(plans)
    .where(eq(planId, id));
  if (!row) return null;
  for (const oldest of kept.keys()) {
    if (kept.size < MOST_KEPT) break;
    kept.delete(oldest);
  }
  kept.set(id, row);
  return row;
}
