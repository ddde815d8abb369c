import { judgeReading, mixOf, openForBatch } from '@kelmot/contract';
import {
  checkWeighed,
  planBatches,
  say,
  sentence,
  weighing,
  type Plan,
  type PlanBatch,
  type Step,
} from '@kelmot/core';
import { and, eq } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { readRepair } from '../db/repairQueries';
import { checks, mixes, mixMarks, photos, plans, readings, type mixEnd } from '../db/repairs';
import { notFound, ProblemError, stillToDo } from '../http/problem';
import { touch, type Doing, type Repair } from './doing';

interface Running {
  planId: string;
  plan: Plan;
}

async function planOf(tx: Tx, repair: Repair): Promise<Running> {
  const [row] = repair.planId
    ? await tx.select().from(plans).where(eq(plans.id, repair.planId))
    : [];
  if (!row)
    throw new ProblemError(422, 'Choose a system first', 'There is no plan to record against yet.');
  return { planId: row.id, plan: row.body };
}

function stepOf(plan: Plan, stepId: string): Step {
  const step = plan.steps.find((s) => s.id === stepId);
  if (!step?.hold) {
    throw new ProblemError(422, 'Input out of range', undefined, [
      {
        path: 'stepId',
        message: `no hold "${stepId}" in this plan; use the id of one of its steps`,
      },
    ]);
  }
  return step;
}

export async function setCheck({ tx, me, command, repair }: Doing<'check.set'>): Promise<number> {
  const { planId, plan } = await planOf(tx, repair);
  const step = stepOf(plan, command.stepId);
  if (step.hold?.kind !== 'check')
    throw new ProblemError(
      422,
      `${sentence(step.title)} asks for a reading`,
      'Measure it and send the reading.',
    );
  const { id, stepId, batchNo, done, note, at } = command;
  const own = planBatches(plan).filter((b) => step.eachBatch && b.round === step.round);
  if (batchNo !== null && !own.some((b) => b.no === batchNo))
    throw new ProblemError(422, 'Input out of range', undefined, [
      {
        path: 'batchNo',
        message:
          own.length > 0
            ? `must be ${own.map((b) => b.no).join(', ')}, or null for the step as a whole`
            : 'must be null: this step is not done batch by batch',
      },
    ]);
  await tx
    .insert(checks)
    .values({ id, repairId: repair.id, planId, stepId, batchNo, done, note, at, by: me.id });
  return touch(tx, repair, at);
}

export async function addReading({
  tx,
  me,
  command,
  repair,
}: Doing<'reading.add'>): Promise<number> {
  const { planId, plan } = await planOf(tx, repair);
  const { hold, title } = stepOf(plan, command.stepId);
  // A picture comes with its own command, so that a reading never points at one that is not there.
  if (!hold || hold.kind === 'photo' || hold.kind !== command.values.kind) {
    throw new ProblemError(422, 'Input out of range', undefined, [
      { path: 'values.kind', message: `${sentence(title)} asks for ${hold?.kind ?? 'nothing'}` },
    ]);
  }
  const { passed, say } = judgeReading(hold, command.values, plan);
  const { id, stepId, values, at } = command;
  await tx.insert(readings).values({
    id,
    repairId: repair.id,
    planId,
    stepId,
    values,
    passed,
    say,
    takenAt: at,
    by: me.id,
  });
  return touch(tx, repair, at);
}

/** Keeps a picture, and the reading of its step that points at it. */
export async function addPhoto({ tx, me, command, repair }: Doing<'photo.add'>): Promise<number> {
  const { planId, plan } = await planOf(tx, repair);
  const { hold, title } = stepOf(plan, command.stepId);
  if (hold?.kind !== 'photo')
    throw new ProblemError(422, 'Input out of range', undefined, [
      {
        path: 'stepId',
        message: `${sentence(title)} asks for ${hold?.kind ?? 'nothing'}, not a picture`,
      },
    ]);
  const { id, stepId, mime, data, at } = command;
  const common = { id, repairId: repair.id, planId, stepId, takenAt: at, by: me.id };
  await tx.insert(photos).values({ ...common, mime, data: Buffer.from(data, 'base64') });
  const values = { kind: 'photo', photoId: id } as const;
  const { passed, say } = judgeReading(hold, values, plan);
  await tx.insert(readings).values({ ...common, values, passed, say });
  return touch(tx, repair, at);
}

/** How far a batch is off its ratio, percent; null where nothing is weighed. Refuses what is out, and says what to add. */
function onRatio(
  plan: Plan,
  batch: PlanBatch,
  aG: number | null,
  bG: number | null,
): number | null {
  const mix = mixOf(plan, batch);
  const { slope } = plan.survey.surface;
  const weigh = weighing(mix, batch.consistency, slope);
  if (!weigh || batch.aG === null) return null;
  if (aG === null || bG === null)
    throw new ProblemError(422, 'Weigh both parts first', undefined, [
      { path: aG === null ? 'aG' : 'bG', message: 'must be what the scale shows, in g' },
    ]);
  const weighed = checkWeighed(mix, { aG, bG }, batch.consistency, slope);
  if (!weighed || weighed.verdict === 'in') return weighed?.deviationPct ?? null;
  const short = weighed.addB_G > 0;
  const add = `${say(short ? weighed.addB_G : weighed.addA_G, 'mass')} ${(short ? weigh.nameB : weigh.nameA).toLowerCase()}`;
  throw new ProblemError(
    422,
    `Off ratio by ${weighed.deviationPct.toFixed(1)} %; ${weigh.tolerancePct} is the most`,
    `Add ${add}.`,
    [{ path: short ? 'bG' : 'aG', message: `add ${add}` }],
  );
}

/** Starts a batch: only on ratio, with every hold before its round met, rounds and batches in their order. */
export async function startMix({ tx, me, command, repair }: Doing<'mix.start'>): Promise<number> {
  const { planId, plan } = await planOf(tx, repair);
  const batches = planBatches(plan);
  const batch = batches.find((b) => b.no === command.batchNo);
  if (!batch) {
    throw new ProblemError(422, 'Input out of range', undefined, [
      { path: 'batchNo', message: `must be 1 to ${batches.length}` },
    ]);
  }
  const view = await readRepair(tx, repair.id);
  const sound = (view?.mixes ?? []).filter((x) => x.binnedAt === null);
  if (sound.some((x) => x.batchNo === batch.no))
    throw new ProblemError(
      409,
      `Batch ${batch.no} is mixed already`,
      'Bin it first, if it must be mixed again.',
    );
  const open = view ? openForBatch(view, batch.no, Date.parse(command.at)) : [];
  if (open.length > 0) throw new ProblemError(422, 'Do not mix yet', stillToDo(open));
  const { id, aG, bG, lot, at } = command;
  const deviationPct = onRatio(plan, batch, aG, bG);
  await tx.insert(mixes).values({
    id,
    repairId: repair.id,
    planId,
    batchNo: batch.no,
    aG,
    bG,
    deviationPct,
    inTolerance: true,
    lot,
    startedAt: at,
    by: me.id,
  });
  return touch(tx, repair, at, { station: 'build' });
}

/** Marks a running batch as placed or as binned, once. */
export async function markMix(
  { tx, me, command, repair }: Doing<'mix.placed'> | Doing<'mix.binned'>,
  end: (typeof mixEnd.enumValues)[number],
): Promise<number> {
  const { id, mixId, at } = command;
  // The repair is locked: nobody else ends the batch in between.
  const [running] = await tx
    .select({ ended: mixMarks.id, startedAt: mixes.startedAt })
    .from(mixes)
    .leftJoin(mixMarks, eq(mixMarks.mixId, mixes.id))
    .where(and(eq(mixes.id, mixId), eq(mixes.repairId, repair.id)));
  if (!running || running.ended) throw notFound('running batch');
  if (Date.parse(at) < Date.parse(running.startedAt))
    throw new ProblemError(422, 'This batch was not mixed yet', undefined, [
      { path: 'at', message: 'must not be before the parts met; set the clock of this device' },
    ]);
  await tx.insert(mixMarks).values({ id, mixId, end, at, by: me.id });
  return touch(tx, repair, command.at);
}
