import type {
  Check,
  Mix,
  Reading,
  RepairPage,
  RepairRow,
  RepairView,
  Review,
  Signoff,
} from '@kelmot/contract';
import { Survey } from '@kelmot/core';
import { z } from 'zod';
import { and, asc, desc, eq, ilike, inArray, isNull, lt, or, sql, type SQL } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { users } from './people';
import { checks, mixes, mixMarks, plans, readings, repairs, reviews, signoffs } from './repairs';

type Repair = typeof repairs.$inferSelect;

/** PostgreSQL writes moments its own way; the wire has ISO with a Z. */
const iso = (moment: string): string => new Date(moment).toISOString();
const isoOrNull = (moment: string | null): string | null => (moment === null ? null : iso(moment));

type Mark = typeof mixMarks.$inferSelect;

const toMix = (m: typeof mixes.$inferSelect, mark: Mark | null, by: string): Mix => ({
  id: m.id,
  batchNo: m.batchNo,
  aG: m.aG,
  bG: m.bG,
  deviationPct: m.deviationPct,
  inTolerance: m.inTolerance,
  lot: m.lot,
  startedAt: iso(m.startedAt),
  placedAt: mark?.end === 'placed' ? iso(mark.at) : null,
  binnedAt: mark?.end === 'binned' ? iso(mark.at) : null,
  by,
});

const headOf = (r: Repair) => ({
  id: r.id,
  tag: r.tag,
  assetName: r.assetName,
  position: r.position,
  title: r.title,
  family: r.family,
  intent: r.intent,
  station: r.station,
  status: r.status,
  version: r.version,
  backBy: iso(r.backBy),
  createdAt: iso(r.createdAt),
  updatedAt: iso(r.updatedAt),
});

/** A repair whole, with what was recorded against its present plan. Null when there is none. */
export async function readRepair(db: Db | Tx, id: string): Promise<RepairView | null> {
  const [repair] = await db.select().from(repairs).where(eq(repairs.id, id));
  if (!repair) return null;
  const planId = repair.planId ?? '00000000-0000-0000-0000-000000000000';
  const person = { name: users.name };
  const plan = await db.select().from(plans).where(eq(plans.id, planId));
  const ofPlan = {
    readings: await db
      .select({ row: readings, person })
      .from(readings)
      .innerJoin(users, eq(users.id, readings.by))
      .where(eq(readings.planId, planId))
      .orderBy(asc(readings.takenAt), asc(readings.id)),
    mixes: await db
      .select({ row: mixes, mark: mixMarks, person })
      .from(mixes)
      .leftJoin(mixMarks, eq(mixMarks.mixId, mixes.id))
      .innerJoin(users, eq(users.id, mixes.by))
      .where(eq(mixes.planId, planId))
      .orderBy(asc(mixes.startedAt), asc(mixes.id)),
    checks: await db
      .select({ row: checks, person })
      .from(checks)
      .innerJoin(users, eq(users.id, checks.by))
      .where(eq(checks.planId, planId))
      .orderBy(asc(checks.at), asc(checks.id)),
  };
  const signed = await db
    .select()
    .from(signoffs)
    .where(eq(signoffs.repairId, id))
    .orderBy(asc(signoffs.at));
  const due = await db
    .select()
    .from(reviews)
    .where(eq(reviews.repairId, id))
    .orderBy(asc(reviews.dueOn));
  const [current] = plan;
  return {
    ...headOf(repair),
    assetId: repair.assetId,
    // Parsed again: one saved before a question was there takes what it was not asked as usual.
    survey: Survey.parse(repair.survey),
    plan: current ? { id: current.id, number: current.number, body: current.body } : null,
    readings: ofPlan.readings.map(({ row, person }): Reading => ({
      id: row.id,
      stepId: row.stepId,
      values: row.values,
      passed: row.passed,
      say: row.say,
      takenAt: iso(row.takenAt),
      by: person.name,
    })),
    mixes: ofPlan.mixes.map(({ row, mark, person }) => toMix(row, mark, person.name)),
    checks: ofPlan.checks.map(({ row, person }): Check => ({
      id: row.id,
      stepId: row.stepId,
      batchNo: row.batchNo,
      done: row.done,
      note: row.note,
      at: iso(row.at),
      by: person.name,
    })),
    signoffs: signed.map((s): Signoff => ({
      id: s.id,
      verdict: s.verdict,
      statement: s.statement,
      name: s.name,
      at: iso(s.at),
      supersedes: s.supersedes,
    })),
    reviews: due.map((r): Review => ({
      id: r.id,
      kind: r.kind,
      dueOn: r.dueOn,
      doneAt: isoOrNull(r.doneAt),
    })),
  };
}

export interface RepairFilter {
  siteId: string;
  status: Repair['status'] | 'all';
  q: string;
  limit: number;
  after: Place | null;
}

const escapeLike = (q: string): string => q.replace(/[\\%_]/g, (c) => `\\${c}`);

/** The place after a row, for the next page: its sort key as text. */
const cursorOf = (r: Repair): string => Buffer.from(`${r.updatedAt}|${r.id}`).toString('base64url');

/** A place in the list: the sort key of the row that it comes after. */
export interface Place {
  updatedAt: string;
  id: string;
}
const Place = z.object({
  // As PostgreSQL writes a moment.
  updatedAt: z.string().regex(/^20\d\d-\d\d-\d\d \d\d:\d\d:\d\d(\.\d{1,6})?[+-]\d\d(:\d\d)?$/),
  id: z.uuid(),
});

/** Reads a cursor back; null where it is none of ours. */
export function placeOf(cursor: string): Place | null {
  const [updatedAt, id] = Buffer.from(cursor, 'base64url').toString().split('|');
  const { data } = Place.safeParse({ updatedAt, id });
  return data && !Number.isNaN(Date.parse(data.updatedAt)) ? data : null;
}

function after({ updatedAt, id }: Place): SQL | undefined {
  return or(
    lt(repairs.updatedAt, updatedAt),
    and(eq(repairs.updatedAt, updatedAt), lt(repairs.id, id)),
  );
}

/** One page of repairs, newest change first, by keyset: page 200 costs what page 1 does. */
export async function listRepairs(db: Db, filter: RepairFilter): Promise<RepairPage> {
  const like = `%${escapeLike(filter.q.trim())}%`;
  const where = and(
    eq(repairs.siteId, filter.siteId),
    filter.status === 'all' ? undefined : eq(repairs.status, filter.status),
    filter.q.trim() === ''
      ? undefined
      : or(
          ilike(repairs.tag, like),
          ilike(repairs.assetName, like),
          ilike(repairs.title, like),
          ilike(repairs.position, like),
        ),
    filter.after === null ? undefined : after(filter.after),
  );
  const found = await db
    .select()
    .from(repairs)
    .where(where)
    .orderBy(desc(repairs.updatedAt), desc(repairs.id))
    .limit(filter.limit + 1);
  const page = found.slice(0, filter.limit);
  const last = page.at(-1);
  return {
    rows: await withPlans(db, page),
    next: found.length > filter.limit && last ? cursorOf(last) : null,
  };
}

/** Adds to each row what its strip and its next act need, in four queries for the whole page. */
async function withPlans(db: Db, page: Repair[]): Promise<RepairRow[]> {
  if (page.length === 0) return [];
  const planIds = page.flatMap((r) => (r.planId ? [r.planId] : []));
  const ids = page.map((r) => r.id);
  const [gists, mixed, gates, due] = await Promise.all([
    planIds.length
      ? db
          .select({ id: plans.id, cardCode: plans.cardCode, gist: plans.gist })
          .from(plans)
          .where(inArray(plans.id, planIds))
      : [],
    planIds.length
      ? db
          .select({ row: mixes, mark: mixMarks })
          .from(mixes)
          .leftJoin(mixMarks, eq(mixMarks.mixId, mixes.id))
          .where(inArray(mixes.planId, planIds))
          .orderBy(asc(mixes.startedAt))
      : [],
    planIds.length
      ? db
          .selectDistinctOn([readings.repairId], {
            repairId: readings.repairId,
            passed: readings.passed,
            say: readings.say,
          })
          .from(readings)
          .where(
            and(inArray(readings.planId, planIds), sql`${readings.values}->>'kind' = 'ambient'`),
          )
          .orderBy(readings.repairId, desc(readings.takenAt))
      : [],
    db
      .selectDistinctOn([reviews.repairId], { repairId: reviews.repairId, dueOn: reviews.dueOn })
      .from(reviews)
      .where(and(inArray(reviews.repairId, ids), isNull(reviews.doneAt)))
      .orderBy(reviews.repairId, asc(reviews.dueOn)),
  ]);
  return page.map((r) => {
    const plan = gists.find((p) => p.id === r.planId);
    const gate = gates.find((g) => g.repairId === r.id);
    return {
      ...headOf(r),
      cardCode: plan?.cardCode ?? null,
      gist: plan?.gist ?? null,
      mixes: mixed.filter((m) => m.row.planId === r.planId).map((m) => toMix(m.row, m.mark, '')),
      stop: gate && !gate.passed ? gate.say : null,
      dueOn: due.find((d) => d.repairId === r.id)?.dueOn ?? null,
    };
  });
}
