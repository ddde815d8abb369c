import { approvedBy, deviationOf, judgeReading, mayMix } from '@kelmot/contract';
import { planBatches, sentence, type Plan, type Step } from '@kelmot/core';
import { and, eq } from 'drizzle-orm';
import { planBody } from '../db/planBody';
import { readRepair } from '../db/repairView';
import { checks, mixes, mixMarks, photos, plans, readings, type mixEnd } from '../db/repairs';
import { notFound, ProblemError } from '../http/problem';
import { touch, type Doing, type Done } from './doing';
import { refuseHeld } from './gates';
import { drawnAnew } from './pictures';

interface Running {
  planId: string;
  plan: Plan;
  /** Its number where it is not the present plan: what is recorded on it is kept with it. */
  keptWith: number | null;
}

/**
 * The plan that a record was made on: the one that it names, or the present one. One that a new plan has taken the place
 * of keeps what was meant for it: a record is never moved to a plan that its maker did not see.
 */
async function planOf({
  tx,
  repair,
  command,
}: Pick<Doing, 'tx' | 'repair'> & { command: { planId?: string } }): Promise<Running> {
  const named = command.planId ?? repair.planId;
  const [row] = named
    ? await tx
        .select({ id: plans.id, number: plans.number })
        .from(plans)
        .where(and(eq(plans.id, named), eq(plans.repairId, repair.id)))
    : [];
  const plan = row && (await planBody(tx, row.id));
  if (row && plan)
    return {
      planId: row.id,
      plan,
      keptWith: row.id === repair.planId ? null : row.number,
    };
  if (!command.planId)
    throw new ProblemError(422, 'Choose a system first', 'There is no plan to record against yet.');
  throw new ProblemError(422, 'Input out of range', undefined, [
    { path: 'planId', message: 'is no plan of this repair; open it again and record it there' },
  ]);
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

export async function setCheck(doing: Doing<'check.set'>): Promise<Done> {
  const { tx, me, command, repair, received } = doing;
  const { planId, plan, keptWith } = await planOf(doing);
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
  await tx.insert(checks).values({
    id,
    repairId: repair.id,
    planId,
    stepId,
    batchNo,
    done,
    note,
    at,
    receivedAt: received,
    by: me.id,
  });
  return { ...(await touch(doing)), keptWith };
}

export async function addReading(doing: Doing<'reading.add'>): Promise<Done> {
  const { tx, me, command, repair, received } = doing;
  const { planId, plan, keptWith } = await planOf(doing);
  const { hold, title } = stepOf(plan, command.stepId);
  // A picture comes with its own command, so that a reading never points at one that is not there.
  if (!hold || hold.kind === 'photo' || hold.kind !== command.values.kind) {
    throw new ProblemError(422, 'Input out of range', undefined, [
      { path: 'values.kind', message: `${sentence(title)} asks for ${hold?.kind ?? 'nothing'}` },
    ]);
  }
  const values = approvedBy(hold, command.values, me);
  const { passed, say } = judgeReading(hold, values, plan);
  const { id, stepId, at } = command;
  await tx.insert(readings).values({
    id,
    repairId: repair.id,
    planId,
    stepId,
    values,
    passed,
    say,
    takenAt: at,
    receivedAt: received,
    by: me.id,
  });
  return { ...(await touch(doing)), keptWith };
}

/** Keeps a picture, and the reading of its step that points at it. */
export async function addPhoto(doing: Doing<'photo.add'>): Promise<Done> {
  const { tx, me, command, repair, received } = doing;
  const { planId, plan, keptWith } = await planOf(doing);
  const { hold, title } = stepOf(plan, command.stepId);
  if (hold?.kind !== 'photo')
    throw new ProblemError(422, 'Input out of range', undefined, [
      {
        path: 'stepId',
        message: `${sentence(title)} asks for ${hold?.kind ?? 'nothing'}, not a picture`,
      },
    ]);
  const { id, stepId, at } = command;
  const picture = await drawnAnew(Buffer.from(command.data, 'base64'));
  const common = {
    id,
    repairId: repair.id,
    planId,
    stepId,
    takenAt: at,
    receivedAt: received,
    by: me.id,
  };
  await tx.insert(photos).values({ ...common, ...picture });
  const values = { kind: 'photo', photoId: id } as const;
  const { passed, say } = judgeReading(hold, values, plan);
  await tx.insert(readings).values({ ...common, values, passed, say });
  return { ...(await touch(doing)), keptWith };
}

/** Starts a batch: only where its gate is open. */
export async function startMix(doing: Doing<'mix.start'>): Promise<Done> {
  const { tx, me, command, repair, received } = doing;
  const { planId, keptWith } = await planOf(doing);
  const view = await readRepair(tx, repair.siteId, repair.id, planId);
  if (!view) throw notFound('repair');
  const { id, batchNo, aG, bG, lot, at } = command;
  refuseHeld(mayMix(view, batchNo, { aG, bG }, Date.parse(at)));
  await tx.insert(mixes).values({
    id,
    repairId: repair.id,
    planId,
    batchNo,
    aG,
    bG,
    deviationPct: deviationOf(view, batchNo, { aG, bG }),
    inTolerance: true,
    lot,
    startedAt: at,
    receivedAt: received,
    by: me.id,
  });
  return { ...(await touch(doing, keptWith === null ? { station: 'build' } : {})), keptWith };
}

/** Marks a running batch as placed or as binned, once. */
export async function markMix(
  doing: Doing<'mix.placed'> | Doing<'mix.binned'>,
  end: (typeof mixEnd.enumValues)[number],
): Promise<Done> {
  const { tx, me, command, repair, received } = doing;
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
  await tx.insert(mixMarks).values({ id, mixId, end, at, receivedAt: received, by: me.id });
  return touch(doing);
}
