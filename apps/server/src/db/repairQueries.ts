import {
  OF_CLOCKS,
  runningPlan,
  type Mix,
  type Reading,
  type RepairPage,
  type RepairRow,
} from '@kelmot/contract';
import { planSummaryOf, type PlanSummary } from '@kelmot/core';
import {
  and,
  asc,
  desc,
  eq,
  getTableColumns,
  inArray,
  isNull,
  like,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { Db } from './client';
import { isOneOf } from './columns';
import { groupBy } from './groupBy';
import { mixes, mixMarks, plans, readings, repairs, reviews } from './repairs';
import { readPlan } from './planRead';
import {
  afterPlace,
  cursorOf,
  readCursor,
  sortKey,
  sortOrder,
  type SortedBy,
  type Place,
} from './repairSort';
import { headOf, toMix } from './repairView';

const { survey: _survey, search: _search, ...COLUMNS } = getTableColumns(repairs);
/** A repair as a list needs it: without its survey. */
type Repair = Omit<typeof repairs.$inferSelect, 'survey' | 'search'>;

export interface RepairFilter {
  siteId: string;
  status: Repair['status'] | 'all';
  q: string;
  limit: number;
  after: Place | null;
}

/** A list in another order than by its last change. */
export interface SortedFilter extends Omit<RepairFilter, 'after'> {
  sort: SortedBy;
  after: Place | null;
}

const escapeLike = (q: string): string => q.replace(/[\\%_]/g, (c) => `\\${c}`);

/** PostgreSQL's text form of a timestamp: the key of a list by last change. */
const TIMESTAMP = /^20\d\d-\d\d-\d\d \d\d:\d\d:\d\d(\.\d{1,6})?[+-]\d\d(:\d\d)?$/;

/** Parses a cursor of the list by last change; null if it is malformed. */
export function placeOf(cursor: string): Place | null {
  const place = readCursor(cursor);
  return place && TIMESTAMP.test(place.key) && !Number.isNaN(Date.parse(place.key)) ? place : null;
}

/** One row comparison, which an index can answer from its position. */
const after = ({ key, id }: Place): SQL =>
  sql`(${repairs.updatedAt}, ${repairs.id}) < (${key}::timestamptz, ${id}::uuid)`;

/** The newest repairs that match. */
const newest = (db: Db, fits: SQL | undefined, most: number) =>
  db
    .select({ ...COLUMNS, search: repairs.search })
    .from(repairs)
    .where(fits)
    .orderBy(desc(repairs.updatedAt), desc(repairs.id))
    .limit(most);

/** Number of newest repairs that are searched first: a frequent text fills a page from these. */
const NEAR = 500;

/**
 * The newest matching repairs that contain a text. If the newest ones do not fill the page, looks the text up in the
 * trigram index and sorts the result. Without this, the planner scans all repairs in order when it expects many
 * matches, however old they are.
 */
async function newestWith(
  db: Db,
  { fits, text, most }: { fits: SQL | undefined; text: string; most: number },
): Promise<Repair[]> {
  const stands = `%${escapeLike(text)}%`;
  const near = newest(db, fits, NEAR).as('near');
  const found = await db
    .select()
    .from(near)
    .where(like(near.search, stands))
    .orderBy(desc(near.updatedAt), desc(near.id))
    .limit(most);
  if (found.length === most) return found;
  return (
    db
      .select(COLUMNS)
      .from(repairs)
      .where(and(fits, like(repairs.search, stands)))
      // As one row expression, which no index can sort: forces the trigram index.
      .orderBy(sql`(${repairs.updatedAt}, ${repairs.id}) desc`)
      .limit(most)
  );
}

/** The repairs of a site with a status. */
const ofSite = ({ siteId, status }: Pick<RepairFilter, 'siteId' | 'status'>) =>
  and(eq(repairs.siteId, siteId), status === 'all' ? undefined : eq(repairs.status, status));

/** One page of repairs, sorted by a column over all rows, by keyset. */
export async function listSorted(db: Db, filter: SortedFilter): Promise<RepairPage> {
  const { sort, after, limit } = filter;
  const text = filter.q.trim().toLowerCase();
  const found = await db
    .select({ ...COLUMNS, key: sql<string>`(${sortKey(sort)})::text` })
    .from(repairs)
    .where(
      and(
        ofSite(filter),
        text === '' ? undefined : like(repairs.search, `%${escapeLike(text)}%`),
        after === null ? undefined : afterPlace(sort, after),
      ),
    )
    .orderBy(...sortOrder(sort))
    .limit(limit + 1);
  const page = found.slice(0, limit);
  const last = page.at(-1);
  return {
    rows: await withPlans(db, page),
    next: found.length > limit && last ? cursorOf(last) : null,
  };
}

/** One page of repairs, last changed first, by keyset: page 200 costs as much as page 1. */
export async function listRepairs(db: Db, filter: RepairFilter): Promise<RepairPage> {
  const text = filter.q.trim().toLowerCase();
  const fits = and(ofSite(filter), filter.after === null ? undefined : after(filter.after));
  const most = filter.limit + 1;
  const found: Repair[] = await (text === ''
    ? newest(db, fits, most)
    : newestWith(db, { fits, text, most }));
  const page = found.slice(0, filter.limit);
  const last = page.at(-1);
  return {
    rows: await withPlans(db, page),
    next:
      found.length > filter.limit && last ? cursorOf({ key: last.updatedAt, id: last.id }) : null,
  };
}

/** Adds to each row what its strip and next action need, in four queries for the whole page. */
async function withPlans(db: Db, page: Repair[]): Promise<RepairRow[]> {
  if (page.length === 0) return [];
  const planIds = page.flatMap((r) => (r.planId ? [r.planId] : []));
  const ids = page.map((r) => r.id);
  const [summaries, mixed, read, due] = await Promise.all([
    planIds.length
      ? db
          .select({ id: plans.id, cardCode: plans.cardCode, summary: plans.summary })
          .from(plans)
          .where(isOneOf(plans.id, planIds))
      : [],
    planIds.length
      ? db
          .select({ row: mixes, mark: mixMarks })
          .from(mixes)
          .leftJoin(mixMarks, eq(mixMarks.mixId, mixes.id))
          .where(isOneOf(mixes.planId, planIds))
          .orderBy(asc(mixes.receivedAt), asc(mixes.id))
      : [],
    planIds.length
      ? db
          .select({
            planId: readings.planId,
            values: readings.values,
            takenAt: readings.takenAt,
            passed: readings.passed,
            say: readings.say,
          })
          .from(readings)
          .where(
            and(
              isOneOf(readings.planId, planIds),
              inArray(sql`${readings.values}->>'kind'`, [...OF_CLOCKS]),
            ),
          )
          .orderBy(asc(readings.receivedAt), asc(readings.id))
      : [],
    db
      .selectDistinctOn([reviews.repairId], { repairId: reviews.repairId, dueOn: reviews.dueOn })
      .from(reviews)
      .where(and(isOneOf(reviews.repairId, ids), isNull(reviews.doneAt)))
      .orderBy(reviews.repairId, asc(reviews.dueOn)),
  ]);
  const planOf = new Map(summaries.map((p) => [p.id, p]));
  const readOn = groupBy(read, (g) => g.planId);
  const mixedOn = groupBy(mixed, (m) => m.row.planId);
  const callsDue = new Map(due.map((d) => [d.repairId, d.dueOn]));
  const rows = page.map(async (r): Promise<RepairRow> => {
    const planId = r.planId ?? '';
    const plan = planOf.get(planId);
    const own = readOn.get(planId) ?? [];
    const gate = own.filter((g) => g.values.kind === 'ambient').at(-1);
    const mixes = (mixedOn.get(planId) ?? []).map((m) => toMix(m.row, m.mark, ''));
    const runs = r.status === 'open' && mixes.length > 0 && own.length > 0;
    return {
      ...headOf(r),
      cardCode: plan?.cardCode ?? null,
      summary:
        (runs && plan
          ? await runningSummary(db, { planId: plan.id, readings: own, mixes })
          : plan?.summary) ?? null,
      mixes,
      stop: gate && !gate.passed ? gate.say : null,
      dueOn: callsDue.get(r.id) ?? null,
    };
  });
  return Promise.all(rows);
}

/** The input of a plan's clocks, once it has begun. */
async function runningSummary(
  db: Db,
  {
    planId,
    readings,
    mixes,
  }: { planId: string; readings: Pick<Reading, 'values' | 'takenAt' | 'passed'>[]; mixes: Mix[] },
): Promise<PlanSummary | null> {
  const plan = await readPlan(db, planId);
  const runs = runningPlan({ plan, readings, mixes });
  return runs && planSummaryOf(runs);
}
