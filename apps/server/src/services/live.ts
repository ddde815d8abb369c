import type { LiveState, Me, Present } from '@kelmot/contract';
import { and, eq, lt, lte, sql } from 'drizzle-orm';
import type { Db } from '../db/client';
import { named } from '../db/named';
import { users } from '../db/people';
import { presence } from '../db/presence';
import { repairs } from '../db/repairs';

/** How often it is looked at what is watched, ms: a change is told well within two seconds. */
const LOOK_MS = 700;
/** Who has not said so for this long is there no more, s; and after that long is no part of the table, s. */
const GONE_S = 40;
const FORGOTTEN_S = 3600;

type Hear = (state: LiveState) => void;

/** Tells how repairs stand to whoever has them open, and who else has. */
export interface Live {
  /** Hears of a repair from now on, at once and with each change; what it gives back ends that. */
  watch: (repairId: string, hear: Hear) => () => void;
  /** Says that a page has a repair open, and at which step; to be said again while it is. Gives when that was. */
  here: (repairId: string, me: Me, page: { tab: string; step?: string }) => Promise<string>;
  /** Says that a page has it open no more, unless that page has said otherwise since. */
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
 * One question in a while for everything that is watched, whoever wrote it: by this server, another one, or the hand of
 * an owner. It costs nothing while nothing is watched, and nothing of any write.
 */
export function makeLive(db: Db): Live {
  const watched = new Map<string, Set<Hear>>();
  const told = new Map<string, LiveState>();
  let timer: NodeJS.Timeout | undefined;

  const ask = (ids: string[]) =>
    named<Looked>(
      db,
      'how_watched_repairs_stand',
      // Whatever changes a row gives it another transaction: finer than any clock.
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

  /** Looks, and again after a while, for as long as something is watched; a database that is away is asked again. */
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
