import { v7 as uuidv7 } from 'uuid';
import type { Database } from '../src/db/client';
import type { Recording } from '../src/db/recordOnce';
import { checks } from '../src/db/repairs';

/** Makes different ticks on a repair as the server stores them, with the given changes. */
export async function recordingsOf(
  { pool }: Database,
  repairId: string,
): Promise<(changed?: Partial<Recording>) => Recording> {
  const { rows } = await pool.query<{ siteId: string; planId: string; by: string }>(
    `select r.site_id as "siteId", r.plan_id as "planId", u.id as by from repairs r, users u
     where r.id = $1 and u.username = 'ida'`,
    [repairId],
  );
  const [found] = rows;
  if (!found) throw new Error('no such repair');
  const { siteId, planId, by } = found;
  return (changed = {}) => {
    const id = uuidv7();
    const at = new Date().toISOString();
    const row = { id, repairId, planId, stepId: 'isolate', batchNo: null, at, by };
    return {
      command: { id, type: 'check.set', repairId, by, at, digest: 'x' },
      siteId,
      notBefore: at,
      received: at,
      plan: { id: planId, number: 1 },
      isNamed: false,
      line: { by, address: null, type: 'check.set', body: {} },
      adds: [{ table: checks, row: { ...row, done: true, note: '' } }],
      ...changed,
    };
  };
}
