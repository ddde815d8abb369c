import { t } from '@kelmot/core';
import type { Ack, Command, Me } from '@kelmot/contract';
import { CLOCK_SLACK } from '@kelmot/contract';
import { and, eq, getTableColumns } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { recordOnce } from '../db/recordOnce';
import { commands, repairs } from '../db/repairs';
import { waitForDisk, durably } from '../db/durably';
import { notFound, ProblemError } from '../common/problemError';
import { digestOf, isRepeat, lockById } from './idempotency';
import type { CommandResult, Repair } from './commandContext';
import { perform } from './handlers';
import { writeAudit, auditRejections, auditText, type Actor } from './auditLines';
import { createRepair } from './planning';
import { planOf } from './planOf';
import { isRecord, rowsOf, type RecordCommand } from './recording';
import { noWeather, type WeatherService } from './weather';

function refuseFuture(at: string, now: number): void {
  if (Date.parse(at) <= now + CLOCK_SLACK) return;
  throw new ProblemError(422, t('This moment has not come yet'), {
    detail: t('The clock of this device runs ahead. Set it, then send again.'),
    issues: [
      { path: 'at', message: t('must not be later than now; set the clock of this device') },
    ],
  });
}

/** A record from before its repair existed means a wrong clock: records entered later carry their real time. */
function refuseBefore(at: string, repair: Repair): void {
  if (Date.parse(at) >= Date.parse(repair.createdAt) - CLOCK_SLACK) return;
  throw new ProblemError(422, t('{tag} was not there yet', { tag: repair.tag }), {
    detail: t('The clock of this device runs behind. Set it, then send again.'),
    issues: [
      { path: 'at', message: t('must not be before the repair; set the clock of this device') },
    ],
  });
}

const { survey: _survey, search: _search, ...HEAD } = getTableColumns(repairs);

/** The repair of a command: open, and of the sender's site. Throws ProblemError otherwise. */
async function openRepair(
  tx: Db | Tx,
  me: Me,
  { command, lock = false }: { command: Command; lock?: boolean },
): Promise<Repair> {
  const asked = tx
    .select(HEAD)
    .from(repairs)
    .where(and(eq(repairs.id, command.repairId), eq(repairs.siteId, me.siteId)));
  const [repair] = await (lock ? asked.for('update') : asked);
  if (!repair) throw notFound('repair');
  if (repair.status !== 'open')
    throw new ProblemError(409, t('{tag} is closed', { tag: repair.tag }), {
      detail: t('Start a new repair, or ask a planner.'),
    });
  refuseBefore(command.at, repair);
  return repair;
}

/** The earlier answer to a command that was applied before; null if it was not. Throws if its id has other content. */
async function answeredBefore(tx: Db | Tx, me: Me, command: Command): Promise<Ack | null> {
  const [before] = await tx.select().from(commands).where(eq(commands.id, command.id));
  if (!before || !isRepeat(before, me, command)) return null;
  const { repairId, version, keptWith } = before;
  return { commandId: command.id, repairId, version, keptWith };
}

/** What a command needs from outside: the weather for planning, the caller's address, and the server's clock. */
export interface CommandInput {
  weather?: WeatherService;
  address?: string | null;
  now?: () => number;
}

const iso = (at: number): string => new Date(at).toISOString();

/**
 * Carries out one command: all or nothing, once. A repeated command id gets the earlier answer. Throws ProblemError for
 * what the sender must correct, ConflictError for an old version.
 */
export function runCommand(
  db: Db | Tx,
  me: Me,
  {
    command,
    input: { weather = noWeather, address = null, now = Date.now } = {},
  }: { command: Command; input?: CommandInput },
): Promise<Ack> {
  const { id, repairId, type } = command;
  const doer = { by: me.id, address };
  const line = { repairId, commandId: id, body: { type } };
  return auditRejections(db, doer, {
    line,
    work: async () => {
      if (me.role === 'viewer')
        throw new ProblemError(403, t('Viewers cannot change repairs'), {
          detail: t('Ask a technician or a planner.'),
        });
      refuseFuture(command.at, now());
      const asked = { db, me, doer, weather, now };
      return isRecord(command) ? recorded(asked, command) : performed(asked, command);
    },
  });
}

interface Asked extends Required<Pick<CommandInput, 'weather' | 'now'>> {
  db: Db | Tx;
  me: Me;
  doer: Actor;
}

/** A record whose plan changed during this many tries is answered with "send it again". */
const TRIES = 3;

/** The rows that a record adds, by the plan that it was made on. */
async function judged(db: Db | Tx, me: Me, command: RecordCommand) {
  const { repairId, planId } = command;
  const present = planId ?? (await openRepair(db, me, { command })).planId;
  const plan = await planOf(db, { id: repairId, siteId: me.siteId, planId: present }, planId);
  return { plan, adds: await rowsOf({ command, me, plan }) };
}

/** A record on a step is judged by its plan, which never changes, and then written in one statement. */
async function recorded({ db, me, doer, now }: Asked, command: RecordCommand): Promise<Ack> {
  const { id, repairId, type, at, planId } = command;
  for (let n = 0; n < TRIES; n += 1) {
    const { plan, adds } = await judged(db, me, command).catch(async (error: unknown) => {
      // A missing or closed repair is reported before errors in the record.
      await openRepair(db, me, { command });
      throw error;
    });
    const done = await recordOnce(db, {
      command: { id, type, repairId, by: me.id, at, digest: digestOf(command) },
      siteId: me.siteId,
      notBefore: iso(Date.parse(at) + CLOCK_SLACK),
      received: iso(now()),
      plan,
      isNamed: planId !== undefined,
      line: { ...doer, type, body: auditText(command) },
      adds,
    });
    const answer = done
      ? { commandId: id, repairId, ...done }
      : await answeredBefore(db, me, command);
    if (answer) {
      await waitForDisk(db);
      return answer;
    }
    // Reports the obstacle; if there is none, the plan changed in between.
    await openRepair(db, me, { command });
  }
  throw new ProblemError(503, t('Others write to this repair'), {
    detail: t('It is sent again by itself.'),
  });
}

type LockedCommand = Exclude<Command, RecordCommand>;

/** All other commands read the repair under a lock. */
function performed({ db, me, doer, weather, now }: Asked, command: LockedCommand): Promise<Ack> {
  const { id, repairId, type, at } = command;
  return durably(db, async (tx) => {
    await lockById(tx, id);
    const before = await answeredBefore(tx, me, command);
    if (before) return before;
    const { version, keptWith } = await done(tx);
    const digest = digestOf(command);
    await tx
      .insert(commands)
      .values({ id, type, repairId, by: me.id, version, keptWith, at, digest });
    await writeAudit(tx, doer, { repairId, commandId: id, type, body: auditText(command) });
    return { commandId: id, repairId, version, keptWith };
  });
  async function done(tx: Tx): Promise<CommandResult> {
    if (command.type === 'repair.create')
      return createRepair({ tx, me, command, received: iso(now()) });
    const repair = await openRepair(tx, me, { command, lock: true });
    // The repair is locked: what is received later has a later time.
    return perform({ tx, me, command, weather, repair, received: iso(now()) });
  }
}
