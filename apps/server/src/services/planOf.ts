import { t } from '@kelmot/core';
import type { Db, Tx } from '../db/client';
import { readPlan, type PlanRead } from '../db/planRead';
import { ProblemError } from '../common/problemError';
import type { Repair } from './commandContext';

/**
 * The plan of a record: the one that it names, or the present one. A replaced plan keeps its own records: a record is
 * never moved to a plan that its author did not see.
 */
export async function planOf(
  db: Db | Tx,
  repair: Pick<Repair, 'id' | 'siteId' | 'planId'>,
  named: string | undefined,
): Promise<PlanRead> {
  const id = named ?? repair.planId;
  const plan = id && (await readPlan(db, id));
  if (plan && plan.repairId === repair.id && plan.siteId === repair.siteId) return plan;
  if (!named)
    throw new ProblemError(422, t('Choose a system first'), {
      detail: t('There is no plan to record against yet.'),
    });
  throw new ProblemError(422, t('Input out of range'), {
    issues: [
      {
        path: 'planId',
        message: t('is no plan of this repair; open it again and record it there'),
      },
    ],
  });
}
