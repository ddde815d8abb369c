import { sql } from 'drizzle-orm';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';

/** The state of the audit chain: its length, and the first line that does not match the one before. */
export interface AuditChain {
  lines: number;
  brokenAt: number | null;
  /** The fault: a line is missing before it, or its content was changed. */
  why: 'gap' | 'changed' | null;
  /** The hash of the last line. Stored elsewhere, it reveals lines that were removed from the end. */
  last: string;
}

/** Reads the whole chain and checks each line against the hash of the one before. */
export async function readAuditChain(db: Pick<NodePgDatabase, 'execute'>): Promise<AuditChain> {
  const { rows } = await db.execute<{
    lines: string;
    broken_at: string | null;
    gap: boolean | null;
    last: string | null;
  }>(sql`
    with chained as (
      select audit.seq, audit.hash,
        audit.seq <> row_number() over (order by audit.seq) as gap,
        audit_hash(audit, coalesce(lag(audit.hash) over (order by audit.seq), '')) as again
      from audit
    ), broken as (
      select seq, gap from chained where gap or hash <> again order by seq limit 1
    )
    select (select count(*) from audit) as lines, (select seq from broken) as broken_at,
      (select gap from broken) as gap, (select hash from audit order by seq desc limit 1) as last`);
  const [found] = rows;
  const brokenAt = found?.broken_at == null ? null : Number(found.broken_at);
  return {
    lines: Number(found?.lines ?? 0),
    brokenAt,
    why: brokenAt === null ? null : found?.gap ? 'gap' : 'changed',
    last: found?.last ?? '',
  };
}
