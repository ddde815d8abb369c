import { curedByServer, maySign, nextLooks } from '@kelmot/contract';
import { planSummaryOf } from '@kelmot/core';
import { desc, eq } from 'drizzle-orm';
import { uuidv7 } from '../common/ids';
import { readRepair } from '../db/repairView';
import { plans, reviews, signoffs } from '../db/repairs';
import { ConflictError, notFound } from '../common/problemError';
import { bump, expectVersion, type CommandContext, type CommandResult } from './commandContext';
import { refuseHeld } from './gates';
import { siteOf } from './planning';

/**
 * Signs off a repair if its gate is open. Accepted: closes it and sets the next looks. Redo: a copy of the plan with
 * the next number starts again, with the sign-off's id so that a device can go on at once; earlier records stay with
 * the old plan.
 */
export async function signOff(doing: CommandContext<'signoff.add'>): Promise<CommandResult> {
  const { tx, me, command, repair, received } = doing;
  if (command.expect !== undefined) await expectVersion(tx, repair, command.expect);
  const view = await readRepair(tx, { siteId: repair.siteId, id: repair.id });
  if (!view) throw notFound('repair');
  // The person signed the plan that they saw: another plan must be looked at first.
  if (command.planId && command.planId !== repair.planId) throw new ConflictError(view);
  const site = await siteOf(tx, repair.siteId);
  const { id, at, verdict, statement, override } = command;
  const now = { device: Date.parse(at), server: Date.parse(received) };
  refuseHeld(maySign(view, { signing: { verdict, override }, who: me, site, now }));
  if (!view.plan) throw notFound('plan');
  const { body: plan, id: planId, number } = view.plan;
  const seen = curedByServer(view, now.server);
  const [before] = await tx
    .select({ id: signoffs.id })
    .from(signoffs)
    .where(eq(signoffs.repairId, repair.id))
    .orderBy(desc(signoffs.receivedAt))
    .limit(1);
  await tx.insert(signoffs).values({
    id,
    repairId: repair.id,
    planId,
    verdict,
    statement,
    name: me.name,
    // An unneeded reason is not stored: it would say that the server had not seen the end of the cure.
    override: verdict === 'accepted' && (seen === null || seen > now.server) ? override : null,
    at,
    receivedAt: received,
    by: me.id,
    supersedes: before?.id ?? null,
  });
  if (verdict === 'redo') {
    await tx.insert(plans).values({
      id,
      repairId: repair.id,
      number: number + 1,
      siteId: repair.siteId,
      cardCode: plan.card.code,
      cardVersion: plan.card.version,
      core: plan.core,
      body: plan,
      summary: planSummaryOf(plan),
      madeAt: at,
      by: me.id,
    });
    return bump(doing, { planId: id, station: 'prep' });
  }
  await tx.insert(reviews).values(
    nextLooks(plan, at, site.zone).map((look) => ({
      ...look,
      id: uuidv7(),
      repairId: repair.id,
    })),
  );
  return bump(doing, { status: 'closed', station: 'accept' });
}
