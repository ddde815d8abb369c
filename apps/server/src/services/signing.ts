import { mixedBatches, openInAll } from '@kelmot/contract';
import { curedAt, DAY, gistOf } from '@kelmot/core';
import { desc, eq } from 'drizzle-orm';
import { uuidv7 } from '../ids';
import { readRepair } from '../db/repairQueries';
import { plans, reviews, signoffs } from '../db/repairs';
import { ProblemError, stillToDo } from '../http/problem';
import { bump, expectVersion, type Doing } from './doing';

const dayAfter = (at: string, days: number): string =>
  new Date(Date.parse(at) + days * DAY).toISOString().slice(0, 10);

/**
 * Signs a repair off. Accepted: every hold met and the cure done; closes it and sets the next looks.
 * Redo: the plan starts afresh under the next number; what was recorded stays with the old one.
 */
export async function signOff({ tx, me, command, repair }: Doing<'signoff.add'>): Promise<number> {
  if (command.expect !== undefined) await expectVersion(tx, repair, command.expect);
  const view = await readRepair(tx, repair.id);
  if (!view?.plan) throw new ProblemError(422, 'Nothing to sign off', 'There is no plan yet.');
  const { body: plan, id: planId, number } = view.plan;
  const { id, at, verdict, statement } = command;
  if (verdict === 'accepted') {
    const open = openInAll(view, Date.parse(at));
    if (open.length > 0) throw new ProblemError(422, 'Not yet: holds are open', stillToDo(open));
    const ready = curedAt(gistOf(plan), mixedBatches(view.mixes));
    if (ready === null || ready > Date.parse(at)) {
      throw new ProblemError(
        422,
        'Not cured yet',
        ready === null ? 'Nothing was mixed.' : `Good from ${new Date(ready).toISOString()}.`,
      );
    }
  }
  const [before] = await tx
    .select({ id: signoffs.id })
    .from(signoffs)
    .where(eq(signoffs.repairId, repair.id))
    .orderBy(desc(signoffs.at))
    .limit(1);
  await tx.insert(signoffs).values({
    id,
    repairId: repair.id,
    planId,
    verdict,
    statement,
    name: me.name,
    at,
    by: me.id,
    supersedes: before?.id ?? null,
  });
  if (verdict === 'redo') {
    const again = uuidv7();
    await tx.insert(plans).values({
      id: again,
      repairId: repair.id,
      number: number + 1,
      cardCode: plan.card.code,
      cardVersion: plan.card.version,
      core: plan.core,
      body: plan,
      gist: gistOf(plan),
      madeAt: at,
      by: me.id,
    });
    return bump(tx, repair, at, { planId: again, station: 'prep' });
  }
  await tx.insert(reviews).values({
    id: uuidv7(),
    repairId: repair.id,
    kind: 'look',
    dueOn: dayAfter(at, plan.nextLookDays),
  });
  if (plan.replaceInDays !== null) {
    await tx.insert(reviews).values({
      id: uuidv7(),
      repairId: repair.id,
      kind: 'replace',
      dueOn: dayAfter(at, plan.replaceInDays),
    });
  }
  return bump(tx, repair, at, { status: 'closed', station: 'accept' });
}
