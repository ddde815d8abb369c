import type { Ack, Command, Me } from '@kelmot/contract';
import { MINUTE } from '@kelmot/core';
import { eq } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { commands, repairs } from '../db/repairs';
import { notFound, ProblemError } from '../http/problem';
import { digestOf, isAgain, oneAtATime } from './once';
import type { Doing, Repair } from './doing';
import { handlers } from './handlers';
import { note, notingRefusal, told } from './noting';
import { noWeather, type WeatherService } from './weather';

/** How far ahead of the server a device's clock may run before its moments are refused. */
const CLOCK_SLACK_MS = 10 * MINUTE;

function refuseFuture(at: string): void {
  if (Date.parse(at) <= Date.now() + CLOCK_SLACK_MS) return;
  throw new ProblemError(
    422,
    'This moment has not come yet',
    'The clock of this device runs ahead. Set it, then send again.',
    [{ path: 'at', message: 'must not be later than now; set the clock of this device' }],
  );
}

/** A record from before its repair was there is a wrong clock: records entered later carry the moment they are of. */
function refuseBefore(at: string, repair: Repair): void {
  if (Date.parse(at) >= Date.parse(repair.createdAt) - CLOCK_SLACK_MS) return;
  throw new ProblemError(
    422,
    `${repair.tag} was not there yet`,
    'The clock of this device runs behind. Set it, then send again.',
    [{ path: 'at', message: 'must not be before the repair; set the clock of this device' }],
  );
}

async function perform(tx: Tx, me: Me, command: Command, weather: WeatherService): Promise<number> {
  if (command.type === 'repair.create') return handlers['repair.create']({ tx, me, command });
  const [repair] = await tx
    .select()
    .from(repairs)
    .where(eq(repairs.id, command.repairId))
    .for('update');
  if (!repair) throw notFound('repair');
  if (repair.status !== 'open')
    throw new ProblemError(409, `${repair.tag} is closed`, 'Start a new repair, or ask a planner.');
  refuseBefore(command.at, repair);
  const handle = handlers[command.type] as (doing: Doing) => Promise<number>;
  return handle({ tx, me, command, repair, weather });
}

/**
 * Carries out one command: all or nothing, once. A command id that took effect before answers as it did then.
 * Throws ProblemError for what the sender must mend, ConflictError for a stale version.
 */
export function runCommand(
  db: Db | Tx,
  me: Me,
  command: Command,
  {
    weather = noWeather,
    address = null,
  }: { weather?: WeatherService; address?: string | null } = {},
): Promise<Ack> {
  const { id, repairId, type, at } = command;
  const doer = { by: me.id, address };
  const line = { repairId, commandId: id, body: { type } };
  return notingRefusal(db, doer, line, async () => {
    if (me.role === 'viewer')
      throw new ProblemError(
        403,
        'Viewers cannot change repairs',
        'Ask a technician or a planner.',
      );
    refuseFuture(at);
    return db.transaction(async (tx) => {
      await oneAtATime(tx, id);
      const [before] = await tx.select().from(commands).where(eq(commands.id, id));
      if (before && isAgain(before, me, command))
        return { commandId: id, repairId: before.repairId, version: before.version };
      const version = await perform(tx, me, command, weather);
      await tx
        .insert(commands)
        .values({ id, type, repairId, by: me.id, version, at, digest: digestOf(command) });
      await note(tx, doer, { repairId, commandId: id, type, body: told(command) });
      return { commandId: id, repairId, version };
    });
  });
}
