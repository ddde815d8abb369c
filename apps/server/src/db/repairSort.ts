import type { RepairSort } from '@kelmot/contract';
import { sql, type SQL } from 'drizzle-orm';
import { z } from 'zod';
import { plans, repairs } from './repairs';

/** A sort order of a list: by a column, up or down. */
export interface SortedBy {
  by: RepairSort;
  down: boolean;
}

/** The sort key of each column, and its type for reading a cursor. Names sort by number: P-9 before P-10. */
const KEYS: Record<RepairSort, { key: SQL; type: SQL }> = {
  tag: { key: sql`${repairs.tag} collate natural_order`, type: sql`text` },
  asset: { key: sql`${repairs.assetName} collate natural_order`, type: sql`text` },
  damage: { key: sql`${repairs.title} collate natural_order`, type: sql`text` },
  card: {
    key: sql`coalesce((select ${plans.cardCode} from ${plans} where ${plans.id} = ${repairs.planId}), '') collate natural_order`,
    type: sql`text`,
  },
  intent: { key: sql`${repairs.intent}`, type: sql`intent` },
  station: { key: sql`${repairs.station}`, type: sql`station` },
  when: {
    key: sql`case when ${repairs.status} = 'closed' then ${repairs.updatedAt} else ${repairs.backBy} end`,
    type: sql`timestamptz`,
  },
};

export const sortKey = ({ by }: SortedBy): SQL => KEYS[by].key;

/** The order of a sorted list; the id decides between equal keys. */
export const sortOrder = ({ by, down }: SortedBy): SQL[] =>
  [KEYS[by].key, sql`${repairs.id}`].map((key) => sql`${key} ${down ? sql`desc` : sql`asc`}`);

/** A position in a list: the sort key of the row before it as text, and its id. */
const Place = z.object({ key: z.string().max(300), id: z.uuid() });
export type Place = z.infer<typeof Place>;

/** The cursor after a row, for the next page. */
export const cursorOf = ({ key, id }: Place): string =>
  Buffer.from(JSON.stringify({ key, id })).toString('base64url');

/** Parses a cursor; null if it is malformed. */
export function readCursor(cursor: string): Place | null {
  try {
    return Place.safeParse(JSON.parse(Buffer.from(cursor, 'base64url').toString())).data ?? null;
  } catch {
    return null;
  }
}

/** The rows after a position. */
export function afterPlace({ by, down }: SortedBy, { key, id }: Place): SQL {
  const row = sql`(${KEYS[by].key}, ${repairs.id})`;
  const place = sql`(${key}::${KEYS[by].type}, ${id}::uuid)`;
  return down ? sql`${row} < ${place}` : sql`${row} > ${place}`;
}
