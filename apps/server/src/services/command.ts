import type { Ack, Command, Me } from '@kelmot/contract';
import { CLOCK_SLACK } from '@kelmot/contract';
import { and, eq } from 'drizzle-orm';
import type { Db, Tx } from '../db/client';
import { commands, repairs } from '../db/repairs';
import { notFound, ProblemError } from '../http/problem';
import { digestOf, isAgain, oneAtATime } from './once';
import type { Doing, Done, Repair } from './doing';
import { handlers } from './handlers';
import { note, notingRefusal, told } from './noting';
import { noWeather, type WeatherService } from './weather';

function refuseFuture(at: string, now: number): void {
  if (Date.parse(at) <= now + CLOCK_SLACK) return;
  throw new ProblemError(
    422,
    'This moment has not come yet',
    'The clock of this device runs ahead. Set it, then send again.',
    [{ path: 'at', message: 'must not be later than now; set the clock of this device' }],
  );
}

/** A record from before its repair was there is a wrong clock: records entered later carry the moment they are of. */
function refuseBefore(at: string, repair: Repair): void {
  if (Date.parse(at) >= Date.parse(repair.createdAt) - CLOCK_SLACK) return;
  throw new ProblemError(
    422,
    `${repair.tag} was not there yet`,
    'The clock of this device runs behind. Set it, then send again.',
    [{ path: 'at', message: 'must not be before the repair; set the clock of this device' }],
  );
}

async function perform(
  doing: Omit<Doing, 'repair' | 'received' | 'command'>,
  command: Command,
  now: () => number,
): Promise<Done> {
  const { tx, me } = doing;
  if (command.type === 'repair.create')
    return handlers['repair.create']({ tx, me, command, received: iso(now()) });
  const [repair] = await tx
    .select()
    .from(repairs)
    .where(and(eq(repairs.id, command.repairId), eq(repairs.siteId, me.siteId)))
    .for('update');
  if (!repair) throw notFound('repair');
  if (repair.status !== 'open')
    throw new ProblemError(409, `${repair.tag} is closed`, 'Start a new repair, or ask a planner.');
  refuseBefore(command.at, repair);
  const handle = handlers[command.type] as (doing: Doing) => Promise<Done>;
  // The repair is locked: what is received later has a later moment.
  return handle({ ...doing, command, repair, received: iso(now()) });
}

/** What is round a command: the weather to plan by, where it came from, and the clock of the server. */
export interface Around {
  weather?: WeatherService;
  address?: string | null;
  now?: () => number;
}

const iso = (at: number): string => new Date(at).toISOString();

/**
 * Carries out one command: all or nothing, once. A command id that took effect before answers as it did then.
 * Throws ProblemError for what the sender must mend, ConflictError for a stale version.
 */
export function runCommand(
  db: Db | Tx,
  me: Me,
  command: Command,
  { weather = noWeather, address = null, now = Date.now }: Around = {},
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
    refuseFuture(at, now());
    return db.transaction(async (tx) => {
      await oneAtATime(tx, id);
      const [before] = await tx.select().from(commands).where(eq(commands.id, id));
      if (before && isAgain(before, me, command))
        return {
          commandId: id,
          repairId: before.repairId,
          version: before.version,
          keptWith: before.keptWith,
        };
      const { version, keptWith } = await perform({ tx, me, weather }, command, now);
      await tx.insert(commands).values({
        id,
        type,
        repairId,
        by: me.id,
        version,
        keptWith,
        at,
        digest: digestOf(command),
      });
      await note(tx, doer, { repairId, commandId: id, type, body: told(command) });
      return { commandId: id, repairId, version, keptWith };
    });
  });
}
