import { getTableColumns, getTableName, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { audit } from './audit';
import type { Db, Tx } from './client';
import { batched } from './batched';
import { groupBy } from './groupBy';
import { runPrepared } from './runPrepared';
import { commands, repairs } from './repairs';

/** A row to insert, by table; the server's time of receipt is set at insertion. */
export interface Added {
  table: PgTable;
  row: Record<string, unknown>;
}

/** A record on a repair's plan: its author, and its command. */
export interface Recording {
  command: Omit<typeof commands.$inferInsert, 'version'>;
  siteId: string;
  /** A repair that was created after this moment is not written to. */
  notBefore: string;
  received: string;
  plan: { id: string; number: number };
  /** The author named the plan; otherwise it must still be the present one. */
  isNamed: boolean;
  line: Pick<typeof audit.$inferInsert, 'by' | 'address' | 'type' | 'body'>;
  adds: Added[];
}

/** The result: the repair's version, and the number of the earlier plan that keeps the record. */
export interface Recorded {
  version: number;
  keptWith: number | null;
}

/** A row by column names, as PostgreSQL reads it from JSON, with its command's id. */
function rowOf({ table, row, of }: Added & { of: string }): object {
  const columns = getTableColumns(table);
  const filled = Object.entries(row).map(([key, value]) => [
    columns[key]?.name ?? key,
    Buffer.isBuffer(value) ? `\\x${value.toString('hex')}` : value,
  ]);
  return { of, row: Object.fromEntries(filled) as object };
}

const asked = ({ command, line, plan, ...own }: Recording): object => ({
  ...{ id: command.id, type: command.type, repair_id: command.repairId, by: command.by },
  ...{ at: command.at, digest: command.digest, site_id: own.siteId, not_before: own.notBefore },
  ...{ received: own.received, plan_id: plan.id, number: plan.number, is_named: own.isNamed },
  line,
});

/** Whether to wait for a locked repair or to leave its record for a separate statement. */
type Held = 'waited for' | 'left';

/**
 * Batching: writes records on different open repairs in one statement: locks each repair (so that later receipt means a
 * later time), stores the command, its rows and its audit line, all or nothing. Null for a record that was not written:
 * its repair is missing, closed or too new, its plan has changed, or the command was applied before. Not on disk yet
 * when it returns: see `flushed`.
 */
async function recordTogether(
  db: Db | Tx,
  recordings: Recording[],
  held: Held,
): Promise<(Recorded | null)[]> {
  const rows = groupBy(
    recordings.flatMap(({ command, adds }) => adds.map((add) => ({ ...add, of: command.id }))),
    ({ table }) => table,
  );
  const tables = [...rows.keys()].sort((a, b) => (getTableName(a) < getTableName(b) ? -1 : 1));
  const added = tables.map(
    (table, i) => sql`${sql.raw(`added_${i}`)} as (
      insert into ${table} select filled.* from jsonb_to_recordset(${JSON.stringify(rows.get(table)?.map(rowOf))}::jsonb) as adds (of uuid, "row" jsonb)
      join fresh on fresh.id = adds.of,
      jsonb_populate_record(null::${table}, adds."row" || jsonb_build_object('received_at', fresh.received_at)) filled
    )`,
  );
  const found = await runPrepared<{ id: string; version: number; kept_with: number | null }>(
    db,
    `record in ${tables.map(getTableName).join(', ')}, held ${held}`,
    sql`with asked as materialized (
        select * from jsonb_to_recordset(${JSON.stringify(recordings.map(asked))}::jsonb) as asked (
          id uuid, type text, repair_id uuid, by text, at timestamptz, digest text, site_id uuid, not_before timestamptz,
          received timestamptz, plan_id uuid, number integer, is_named boolean, line jsonb
        ) where set_config('synchronous_commit', 'off', true) = 'off'
      ), free as materialized (
        select asked.* from asked join ${repairs} on repairs.id = asked.repair_id
        where repairs.site_id = asked.site_id and status = 'open' and created_at <= not_before
          and (is_named or repairs.plan_id = asked.plan_id)
          and not exists (select from ${commands} where commands.id = asked.id)
        for update of repairs ${sql.raw(held === 'left' ? 'skip locked' : '')}
      ), held as (
        update ${repairs} set updated_at = greatest(updated_at, free.received)
        from free where repairs.id = free.repair_id
        returning free.id, repairs.version, repairs.updated_at as received_at,
          case when repairs.plan_id = free.plan_id then null else free.number end as kept_with
      ), fresh as (
        insert into ${commands} (id, type, repair_id, by, version, kept_with, digest, at, received_at)
        select id, type, repair_id, by, version, kept_with, digest, at, received_at from held join free using (id)
        on conflict (id) do nothing
        returning id, version, kept_with, received_at
      ), ${sql.join(added, sql`, `)}, line as (
        insert into ${audit} (by, address, repair_id, command_id, type, body)
        select line->>'by', line->>'address', repair_id, id, line->>'type', line->'body' from fresh join free using (id)
      )
      select id, version, kept_with from fresh`,
  );
  const done = new Map(found.map((f) => [f.id, { version: f.version, keptWith: f.kept_with }]));
  return recordings.map(({ command }) => done.get(command.id) ?? null);
}

const isLarge = ({ row }: Added): boolean => Object.values(row).some(Buffer.isBuffer);

async function alone(db: Db | Tx, recording: Recording): Promise<Recorded | null> {
  const [done] = await recordTogether(db, [recording], 'waited for');
  return done ?? null;
}

/** Larger groups would save nothing more. */
const MOST_TOGETHER = 50;
const gathering = new WeakMap<Db, (recording: Recording) => Promise<Recorded | null>>();

/**
 * Writes a record on an open repair, in a group with the records of other repairs (`recordTogether`). A record that
 * cannot be written in the group, because its repair is locked or the database rejects one of them, is written alone.
 * So is a picture: fifty would be a statement of many megabytes.
 */
export function recordOnce(db: Db | Tx, recording: Recording): Promise<Recorded | null> {
  if (!('$client' in db) || recording.adds.some(isLarge)) return alone(db, recording);
  let ask = gathering.get(db);
  if (!ask) {
    ask = batched({
      together: (many) => recordTogether(db, many, 'left'),
      alone: (one) => alone(db, one),
      apart: ({ command }) => command.repairId,
      most: MOST_TOGETHER,
    });
    gathering.set(db, ask);
  }
  return ask(recording);
}
