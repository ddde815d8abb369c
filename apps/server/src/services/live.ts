import type { LiveState, Me, Present } from '@kelmot/contract';
import { and, eq, lt, lte, sql } from 'drizzle-orm';
import type { Db } from '../db/client';
import { runPrepared } from '../db/runPrepared';
import { users } from '../db/people';
import { presence } from '../db/presence';
import { repairs } from '../db/repairs';

/** Interval between checks of watched repairs, ms: a change is reported within two seconds. */
const LOOK_MS = 700;
/** A page that has not reported for this long has left; and the age at which its row is deleted, s. */
const GONE_S = 40;
const FORGOTTEN_S = 3600;

type Hear = (state: LiveState) => void;

/** Tells pages about the state of the repairs that they have open, and who else has them open. */
export interface Live {
  /** Watches a repair: calls `hear` at once and at each change; returns a function that stops it. */
  watch: (repairId: string, hear: Hear) => () => void;
  /** Reports that a page has a repair open, and at which step; to be repeated while it is open. Returns the time. */
  here: (repairId: string, me: Me, page: { tab: string; step?: string }) => Promise<string>;
  /** Reports that a page has closed the repair, unless it has reported again since. */
  gone: (repairId: string, tab: string, since: string) => Promise<void>;
}

interface Looked {
  [column: string]: unknown;
  id: string;
  mark: string;
  updated_at: string;
  people: Present[];
}

/**
 * One query at intervals for all watched repairs, who changed them: this server, another one, or the database's
 * owner. Costs nothing while nothing is watched, and nothing at any write.
 */
export function makeLive(db: Db): Live {
  const watched = new Map<string, Set<Hear>>();
  const told = new Map<string, LiveState>();
  let timer: NodeJS.Timeout | undefined;

  const ask = (ids: string[]) =>
    runPrepared<Looked>(
      db,
      'how_watched_repairs_stand',
      // Every change of a row sets a new transaction id (xmin): finer than any clock.
      sql`select ${repairs.id} as id, ${repairs}.xmin::text as mark, ${repairs.updatedAt} as updated_at,
        (select coalesce(json_agg(json_build_object('tab', ${presence.tab}, 'id', ${users.id}, 'name', ${users.name},
            'stepId', ${presence.stepId}) order by ${presence.tab}), '[]'::json)
          from ${presence} join ${users} on ${users.id} = ${presence.userId}
          where ${presence.repairId} = ${repairs.id} and ${presence.seenAt} > now() - make_interval(secs => ${GONE_S})) as people
        from ${repairs} where ${repairs.id} = any(${`{${ids.join(',')}}`}::uuid[])`,
    );

  async function look(): Promise<void> {
    for (const { id, mark, updated_at, people } of await ask([...watched.keys()])) {
      const state = { mark, updatedAt: new Date(updated_at).toISOString(), people };
      const before = told.get(id);
      if (JSON.stringify(before) === JSON.stringify(state)) continue;
      told.set(id, state);
      for (const hear of watched.get(id) ?? []) hear(state);
    }
  }

  /** Checks at intervals while anything is watched; a lost database is asked again. */
  function goOn(): void {
    timer = setTimeout(() => {
      void look()
        .catch(() => undefined)
        .finally(() => (watched.size > 0 ? goOn() : (timer = undefined)));
    }, LOOK_MS);
    timer.unref();
  }

  return {
    watch(repairId, hear) {
      const hears = watched.get(repairId) ?? new Set();
      watched.set(repairId, hears.add(hear));
      const known = told.get(repairId);
      if (known) hear(known);
      if (!timer) goOn();
      return () => {
        hears.delete(hear);
        if (hears.size > 0) return;
        watched.delete(repairId);
        told.delete(repairId);
      };
    },
    async here(repairId, me, { tab, step }) {
      const said = { userId: me.id, stepId: step ?? null, seenAt: sql`now()` };
      const [row] = await db
        .insert(presence)
        .values({ repairId, tab, ...said })
        .onConflictDoUpdate({ target: [presence.repairId, presence.tab], set: said })
        .returning({ since: sql<string>`${presence.seenAt}::text` });
      await db
        .delete(presence)
        .where(lt(presence.seenAt, sql`now() - make_interval(secs => ${FORGOTTEN_S})`));
      return row?.since ?? '';
    },
    async gone(repairId, tab, since) {
      const own = and(eq(presence.repairId, repairId), eq(presence.tab, tab));
      await db.delete(presence).where(and(own, lte(presence.seenAt, sql`${since}::timestamptz`)));
    },
  };
}
