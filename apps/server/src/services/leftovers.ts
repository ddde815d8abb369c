import type { LeftoverOffer } from '@kelmot/contract';
import { Survey } from '@kelmot/core';
import { and, desc, eq, inArray, ne } from 'drizzle-orm';
import { readCards } from '../db/cardQueries';
import type { Db } from '../db/client';
import { readPlan } from '../db/planRead';
import { repairs } from '../db/repairs';
import { notFound } from '../common/problemError';
import { leftoversInWorker } from './planner';
import { siteOf } from './planning';

/** Number of open repairs that are searched, last changed first. */
const LOOKED_AT = 100;

/** The open repairs without a batch that could use this plan's leftovers; empty without a plan. */
export async function leftoverOffers(
  db: Db,
  siteId: string,
  repairId: string,
): Promise<LeftoverOffer[]> {
  const [row] = await db
    .select({ planId: repairs.planId })
    .from(repairs)
    .where(and(eq(repairs.id, repairId), eq(repairs.siteId, siteId)));
  if (!row) throw notFound('repair');
  const plan = row.planId && (await readPlan(db, row.planId));
  if (!plan) return [];
  const site = await siteOf(db, siteId);
  const open = await db
    .select({
      repairId: repairs.id,
      tag: repairs.tag,
      title: repairs.title,
      survey: repairs.survey,
    })
    .from(repairs)
    .where(
      and(
        eq(repairs.siteId, siteId),
        eq(repairs.status, 'open'),
        inArray(repairs.station, ['survey', 'match', 'prep']),
        ne(repairs.id, repairId),
      ),
    )
    .orderBy(desc(repairs.updatedAt), desc(repairs.id))
    .limit(LOOKED_AT);
  const named = new Map(open.map((r) => [r.repairId, r]));
  const surveys = open.map((r) => ({ repairId: r.repairId, survey: Survey.parse(r.survey) }));
  const library = await readCards(db, siteId);
  const uses = await leftoversInWorker([plan.body, surveys, { site, context: { library } }]);
  return uses.flatMap((use) => {
    const found = named.get(use.repairId);
    return found ? [{ ...use, tag: found.tag, title: found.title }] : [];
  });
}
