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

/** PostgreSQL writes moments its own way; the wire has ISO with a Z. */
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

/** What stands of a repair in lists and over it when it is open. */
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
/** A plan with what was recorded on it, in the order in which the server had it; its body is read apart. */
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

/** A repair with its plan and all that hangs on both, in one question. Records in the order in which the server had them. */
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

/** Prepared once for the pool; a transaction asks as it is. */
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

/** Every plan of a repair with what was recorded on it, the first one first. */
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
 * What was recorded on plans that another has taken the place of, plan by plan, told as the record tells it. What the
 * next plan took over is told there.
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

/** The plan that a new survey took back, with its record; null where something was mixed on it. */
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
 * A repair of a site whole, with what was recorded on its present plan and, apart, on earlier ones. Null where there is
 * none. `planId`: as it stands on that plan of it, where a record was made on an earlier one.
 */
export async function readRepair(
  db: Db | Tx,
  siteId: string,
  id: string,
  planId?: string,
): Promise<RepairView | null> {
  const found = await ask(db, siteId, id);
  if (!found) return null;
  const { plan: present, signoffs, reviews } = found;
  const plan =
    planId && planId !== found.planId ? await onPlan(db, found.id, planId) : (present ?? null);
  const read = plan && (await readPlan(db, plan.id));
  // A first plan has none before it; without a plan one may have been taken back.
  const all = plan && plan.number === 1 ? [] : await plansOf(db, id);
  return {
    ...headOf(found),
    assetId: found.assetId,
    // Parsed again: one saved before a question was there takes what it was not asked as usual.
    survey: Survey.parse(found.survey),
    plan: read ? { id: read.id, number: read.number, body: read.body } : null,
    ...recordsOf(plan ?? NOTHING),
    earlier: await earlierOf(db, all, found.planId),
    last: found.planId === null ? await lastOf(db, all) : null,
    signoffs: signoffs.map(toSignoff),
    reviews: reviews.map(toReview),
  };
}

/** One plan of a repair with what was recorded on it; null where it is none of its plans. */
async function onPlan(db: Db | Tx, repairId: string, planId: string) {
  const found = await db.query.plans.findFirst({
    where: and(eq(plans.id, planId), eq(plans.repairId, repairId)),
    ...ON_PLAN,
  });
  return found ?? null;
}
