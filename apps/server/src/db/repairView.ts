import {
  recordedLines,
  type Check,
  type LastPlan,
  type Mix,
  type Reading,
  type RepairView,
  type Review,
  type Signoff,
  type StoryLine,
} from '@kelmot/contract';
import { Survey } from '@kelmot/core';
import { and, asc, eq, sql, type SQL } from 'drizzle-orm';
import type { Db, Tx } from './client';
import { carriedId } from '../common/ids';
import { readPlan } from './planRead';
import {
  checks,
  mixes,
  type mixMarks,
  plans,
  readings,
  repairs,
  reviews,
  signoffs,
} from './repairs';

type Repair = Omit<typeof repairs.$inferSelect, 'search'>;
type Mark = typeof mixMarks.$inferSelect;

/** PostgreSQL's timestamps as ISO text with Z, as the API sends them. */
const iso = (moment: string): string => new Date(moment).toISOString();
const isoOrNull = (moment: string | null): string | null => (moment === null ? null : iso(moment));

export const toMix = (
  row: typeof mixes.$inferSelect,
  mark: Pick<Mark, 'end' | 'at'> | null,
  by: string,
): Mix => ({
  id: row.id,
  batchNo: row.batchNo,
  aG: row.aG,
  bG: row.bG,
  deviationPct: row.deviationPct,
  inTolerance: row.inTolerance,
  lot: row.lot,
  ...(row.instrument === null ? {} : { instrument: row.instrument }),
  startedAt: iso(row.startedAt),
  placedAt: mark?.end === 'placed' ? iso(mark.at) : null,
  binnedAt: mark?.end === 'binned' ? iso(mark.at) : null,
  by,
  byId: row.by,
  receivedAt: iso(row.receivedAt),
});

/** The fields of a repair for lists, and for its head when open. */
export const headOf = (r: Omit<Repair, 'survey'>) => ({
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

const person = { columns: { name: true } } as const;
/** A plan with its records, in the order of receipt; its body is read separately. */
const ON_PLAN = {
  columns: { id: true, number: true } as const,
  with: {
    readings: { orderBy: [asc(readings.receivedAt), asc(readings.id)], with: { person } },
    checks: { orderBy: [asc(checks.receivedAt), asc(checks.id)], with: { person } },
    mixes: {
      orderBy: [asc(mixes.receivedAt), asc(mixes.id)],
      with: { person, mark: { columns: { end: true, at: true } as const } },
    },
  },
};

/** A repair with its plan and all related rows, in one query. Records in the order of receipt. */
const whole = (db: Db | Tx, where: SQL | undefined) =>
  db.query.repairs.findFirst({
    where,
    columns: { search: false },
    with: {
      plan: ON_PLAN,
      signoffs: { orderBy: [asc(signoffs.receivedAt)] },
      reviews: { orderBy: [asc(reviews.dueOn)] },
    },
  });

const prepared = new WeakMap<Db, ReturnType<typeof preparedFor>>();
const preparedFor = (db: Db) =>
  whole(
    db,
    and(eq(repairs.id, sql.placeholder('id')), eq(repairs.siteId, sql.placeholder('siteId'))),
  ).prepare('repair_whole');

/** Prepared once for the pool; a transaction runs it unprepared. */
function ask(db: Db | Tx, siteId: string, id: string) {
  if (!('$client' in db)) return whole(db, and(eq(repairs.id, id), eq(repairs.siteId, siteId)));
  const known = prepared.get(db) ?? preparedFor(db);
  prepared.set(db, known);
  return known.execute({ id, siteId });
}

type Whole = NonNullable<Awaited<ReturnType<typeof whole>>>;
type OnPlan = Pick<NonNullable<Whole['plan']>, 'readings' | 'checks' | 'mixes'>;

const recordsOf = ({ readings, checks, mixes }: OnPlan) => ({
  readings: readings.map((r): Reading => ({
    id: r.id,
    stepId: r.stepId,
    values: r.values,
    passed: r.passed,
    say: r.say,
    takenAt: iso(r.takenAt),
    by: r.person.name,
    byId: r.by,
    receivedAt: iso(r.receivedAt),
  })),
  mixes: mixes.map((row) => toMix(row, row.mark, row.person.name)),
  checks: checks.map((c): Check => ({
    id: c.id,
    stepId: c.stepId,
    batchNo: c.batchNo,
    done: c.done,
    note: c.note,
    at: iso(c.at),
    by: c.person.name,
    byId: c.by,
    receivedAt: iso(c.receivedAt),
  })),
});

/** Every plan of a repair with its records, oldest first. */
const plansOf = (db: Db | Tx, repairId: string) =>
  db.query.plans.findMany({
    where: eq(plans.repairId, repairId),
    orderBy: asc(plans.number),
    ...ON_PLAN,
  });
type PlanOf = Awaited<ReturnType<typeof plansOf>>[number];

const idsOn = ({ checks, readings }: Pick<PlanOf, 'checks' | 'readings'>): Set<string> =>
  new Set([...checks, ...readings].map((record) => record.id));

/**
 * The record of replaced plans, plan by plan, as story lines. What the next plan took over is listed there, not here.
 */
async function earlierOf(db: Db | Tx, all: PlanOf[], planId: string | null): Promise<StoryLine[]> {
  const lines = await Promise.all(
    all.map(async (onPlan, i) => {
      const empty = onPlan.checks.length + onPlan.readings.length + onPlan.mixes.length === 0;
      const plan = onPlan.id === planId || empty ? null : await readPlan(db, onPlan.id);
      if (!plan) return [];
      const next = all[i + 1];
      const taken = next ? idsOn(next) : new Set<string>();
      return recordedLines(plan.body, recordsOf(onPlan), plan.number).filter(
        (line) => !next || !taken.has(carriedId(next.id, line.id)),
      );
    }),
  );
  return lines.flat();
}

/** The last plan, which a changed survey cancelled, with its record; null if a batch was mixed on it. */
async function lastOf(db: Db | Tx, all: PlanOf[]): Promise<LastPlan | null> {
  const onPlan = all.at(-1);
  const plan = onPlan && onPlan.mixes.length === 0 ? await readPlan(db, onPlan.id) : null;
  if (!onPlan || !plan) return null;
  const { checks, readings } = recordsOf(onPlan);
  return { id: plan.id, number: plan.number, body: plan.body, checks, readings };
}

const toSignoff = (s: Whole['signoffs'][number]): Signoff => ({
  id: s.id,
  verdict: s.verdict,
  statement: s.statement,
  name: s.name,
  byId: s.by,
  override: s.override,
  at: iso(s.at),
  supersedes: s.supersedes,
});

const toReview = (r: Whole['reviews'][number]): Review => ({
  id: r.id,
  kind: r.kind,
  dueOn: r.dueOn,
  doneAt: isoOrNull(r.doneAt),
});

const NOTHING: OnPlan = { readings: [], checks: [], mixes: [] };

/**
 * A whole repair of a site: its present plan's records, and separately those of earlier plans. Null if there is none.
 * `planId`: the repair as of that plan, for a record made on an earlier one.
 */
export async function readRepair(
  db: Db | Tx,
  { siteId, id, planId }: { siteId: string; id: string; planId?: string },
): Promise<RepairView | null> {
  const found = await ask(db, siteId, id);
  if (!found) return null;
  const { plan: present, signoffs, reviews } = found;
  const plan =
    planId && planId !== found.planId ? await onPlan(db, found.id, planId) : (present ?? null);
  const read = plan && (await readPlan(db, plan.id));
  // A first plan has no earlier ones; a repair without a plan may have a cancelled one.
  const all = plan && plan.number === 1 ? [] : await plansOf(db, id);
  return {
    ...headOf(found),
    assetId: found.assetId,
    // Parsed again: a survey stored before a question existed gets its default.
    survey: Survey.parse(found.survey),
    plan: read ? { id: read.id, number: read.number, body: read.body } : null,
    ...recordsOf(plan ?? NOTHING),
    earlier: await earlierOf(db, all, found.planId),
    last: found.planId === null ? await lastOf(db, all) : null,
    signoffs: signoffs.map(toSignoff),
    reviews: reviews.map(toReview),
  };
}

/** One plan of a repair with its records; null if it belongs to another repair. */
async function onPlan(db: Db | Tx, repairId: string, planId: string) {
  const found = await db.query.plans.findFirst({
    where: and(eq(plans.id, planId), eq(plans.repairId, repairId)),
    ...ON_PLAN,
  });
  return found ?? null;
}
