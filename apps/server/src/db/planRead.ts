import type { Plan } from '@kelmot/core';
import { eq } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { plans } from './repairs';

/** A plan as it was stored, with its number among its repair's plans. */
export interface PlanRead {
  id: string;
  repairId: string;
  siteId: string;
  number: number;
  body: Plan;
}

/** Number of parsed plans that stay in memory, most recently used: some hundred kilobytes each. */
const MOST_KEPT = 100;
const kept = new Map<string, PlanRead>();

/**
 * A plan by its id; null if there is none. A plan never changes, so a parsed plan is cached: it is the largest object
 * by far, and every command needs it.
 */
export async function readPlan(db: Db | Tx, id: string): Promise<PlanRead | null> {
  const known = kept.get(id);
  if (known) {
    // Most recently used: removed last.
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
