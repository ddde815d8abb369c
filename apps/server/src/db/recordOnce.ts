import { getTableColumns, getTableName, sql, type SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { audit } from './audit';
import type { Db, Tx } from './client';
import { named } from './named';
import { commands, repairs } from './repairs';

/** A row to be added, by table; when the server had it is written as it is added. */
export interface Added {
  table: PgTable;
  row: Record<string, unknown>;
}

/** What is recorded on a plan of a repair, by whom, and the command that says it. */
export interface Recording {
  command: Omit<typeof commands.$inferInsert, 'version'>;
  siteId: string;
  /** A repair that was not there yet at this moment is not written to. */
  notBefore: string;
  received: string;
  plan: { id: string; number: number };
  /** The plan is the one that the maker named; else it has to be the present one still. */
  isNamed: boolean;
  line: Pick<typeof audit.$inferInsert, 'by' | 'address' | 'type' | 'body'>;
  adds: Added[];
}

/** A row as JSON by the names of its columns, as PostgreSQL fills a row from. */
const rowOf = ({ table, row }: Added): string => {
  const columns = getTableColumns(table);
  return JSON.stringify(
    Object.fromEntries(
      Object.entries(row).map(([key, value]) => [
        columns[key]?.name ?? key,
        Buffer.isBuffer(value) ? `\\x${value.toString('hex')}` : value,
      ]),
    ),
  );
};

const insert = (added: Added): SQL =>
  sql`insert into ${added.table} select filled.* from fresh, jsonb_populate_record(null::${added.table}, ${rowOf(added)}::jsonb || jsonb_build_object('received_at', fresh.received_at)) filled`;

/**
 * Records something on an open repair, in one statement: takes the repair (so that what is received later has a later
 * moment), the command, what it adds, and its line of the audit, all or nothing. Null where it was not done: the repair
 * is not there, is closed or was not there yet, its plan is another by now, or the command took effect before. Not yet
 * on the disk when it answers: see `flushed`.
 */
export async function recordOnce(
  db: Db | Tx,
  { command, siteId, notBefore, received, plan, isNamed, line, adds }: Recording,
): Promise<{ version: number; keptWith: number | null } | null> {
  const { id, repairId, type, by, at, digest } = command;
  const added = adds.map((add, i) => sql`${sql.raw(`added_${i}`)} as (${insert(add)})`);
  const [done] = await named<{ version: number; kept_with: number | null }>(
    db,
    `record in ${adds.map((add) => getTableName(add.table)).join(', ')}`,
    sql`with held as (
        update ${repairs} set updated_at = greatest(updated_at, ${received}::timestamptz)
        where id = ${repairId} and site_id = ${siteId} and status = 'open'
          and created_at <= ${notBefore}::timestamptz and (${isNamed}::boolean or plan_id = ${plan.id})
          and not exists (select from ${commands} where id = ${id})
          and set_config('synchronous_commit', 'off', true) = 'off'
        returning version, updated_at as received_at,
          case when plan_id = ${plan.id} then null else ${plan.number}::integer end as kept_with
      ), fresh as (
        insert into ${commands} (id, type, repair_id, by, version, kept_with, digest, at, received_at)
        select ${id}::uuid, ${type}::text, ${repairId}::uuid, ${by}::text, version, kept_with, ${digest}::text, ${at}::timestamptz, received_at
        from held
        on conflict (id) do nothing
        returning version, kept_with, received_at
      ), ${sql.join(added, sql`, `)}, line as (
        insert into ${audit} (by, address, repair_id, command_id, type, body)
        select ${line.by}::text, ${line.address}::text, ${repairId}::uuid, ${id}::uuid, ${line.type}::text, ${JSON.stringify(line.body)}::jsonb
        from fresh
      )
      select version, kept_with from fresh`,
  );
  return done ? { version: done.version, keptWith: done.kept_with } : null;
}
