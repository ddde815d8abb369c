import { t } from '@kelmot/core';
import { deviationOf, mayMix } from '@kelmot/contract';
import { and, eq } from 'drizzle-orm';
import { readRepair } from '../db/repairView';
import { mixes, mixMarks, type mixEnd } from '../db/repairs';
import { notFound, ProblemError } from '../common/problemError';
import { touch, type CommandContext, type CommandResult } from './commandContext';
import { refuseHeld } from './gates';
import { planOf } from './planOf';

/** Starts a batch: only if its gate is open. */
export async function startMix(doing: CommandContext<'mix.start'>): Promise<CommandResult> {
  const { tx, me, command, repair, received } = doing;
  const plan = await planOf(tx, repair, command.planId);
  const planId = plan.id;
  const keptWith = planId === repair.planId ? null : plan.number;
  const view = await readRepair(tx, { siteId: repair.siteId, id: repair.id, planId });
  if (!view) throw notFound('repair');
  const { id, batchNo, aG, bG, lot, instrument, at } = command;
  refuseHeld(mayMix(view, { batchNo, scale: { aG, bG }, now: Date.parse(at) }));
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
    instrument,
    startedAt: at,
    receivedAt: received,
    by: me.id,
  });
  return { ...(await touch(doing, keptWith === null ? { station: 'build' } : {})), keptWith };
}

/** Marks a running batch as placed or thrown away, once. */
export async function markMix(
  doing: CommandContext<'mix.placed'> | CommandContext<'mix.binned'>,
  end: (typeof mixEnd.enumValues)[number],
): Promise<CommandResult> {
  const { tx, me, command, repair, received } = doing;
  const { id, mixId, at } = command;
  // The repair is locked: nobody else can end the batch in between.
  const [running] = await tx
    .select({ ended: mixMarks.id, startedAt: mixes.startedAt })
    .from(mixes)
    .leftJoin(mixMarks, eq(mixMarks.mixId, mixes.id))
    .where(and(eq(mixes.id, mixId), eq(mixes.repairId, repair.id)));
  if (!running || running.ended) throw notFound(t('running batch'));
  if (Date.parse(at) < Date.parse(running.startedAt))
    throw new ProblemError(422, t('This batch was not mixed yet'), {
      issues: [
        {
          path: 'at',
          message: t('must not be before the parts met; set the clock of this device'),
        },
      ],
    });
  await tx.insert(mixMarks).values({ id, mixId, end, at, receivedAt: received, by: me.id });
  return touch(doing);
}
