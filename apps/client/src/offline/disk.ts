import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

const NAME = 'kelmot';
const VERSION = 2;
/** Most answers that are kept: the oldest are removed first. */
const MOST_ANSWERS = 400;

/** An answer of the server, kept for use without signal. */
export interface KeptAnswer {
  /** The person and the question: nobody sees another person's answers. */
  key: string;
  data: unknown;
  /** When it was received, epoch ms. */
  at: number;
}

interface Kept extends DBSchema {
  /** Drafts, outbox, settings and tools, each entry under its own key: two tabs never overwrite each other. */
  state: { key: string; value: unknown };
  answers: { key: string; value: KeptAnswer; indexes: { at: number } };
}

let opened: Promise<IDBPDatabase<Kept>> | null = null;

function disk(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>(NAME, VERSION, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('state');
      if (from < 2) db.createObjectStore('answers', { keyPath: 'key' }).createIndex('at', 'at');
    },
  });
  return opened;
}

const none = (): boolean => typeof indexedDB === 'undefined';

/** A value under a key of the store of entries; undefined removes it. */
export type Entry = readonly [key: string, value: unknown];

/** Every entry that this device keeps; empty where there is no storage. */
export async function readEntries(): Promise<Entry[]> {
  if (none()) return [];
  const tx = (await disk()).transaction('state');
  const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
  return keys.map((key, i) => [key, values[i]]);
}

/** Writes entries, all or none. They are on disk when the promise resolves. */
export async function writeEntries(entries: readonly Entry[]): Promise<void> {
  if (none()) return;
  const tx = (await disk()).transaction('state', 'readwrite');
  const written: Promise<unknown>[] = [];
  try {
    for (const [key, value] of entries)
      written.push(value === undefined ? tx.store.delete(key) : tx.store.put(value, key));
  } catch (error) {
    // A value that cannot be copied throws at once; without the abort, the requests before it would be written alone.
    tx.abort();
    await Promise.allSettled([...written, tx.done]);
    throw error;
  }
  // Committed at once, not at the end of the turn: a reload in between would lose what was typed last.
  tx.commit();
  await Promise.all([...written, tx.done]);
}

/** A kept answer; undefined if there is none. */
export async function readAnswer(key: string): Promise<KeptAnswer | undefined> {
  return none() ? undefined : (await disk()).get('answers', key);
}

/** Keeps an answer in place of the previous one. */
export async function writeAnswer(answer: KeptAnswer): Promise<void> {
  if (!none()) await (await disk()).put('answers', answer);
}

/** Removes one answer. */
export async function dropAnswer(key: string): Promise<void> {
  if (!none()) await (await disk()).delete('answers', key);
}

/** Removes the oldest answers above the limit, except those that must stay. */
export async function pruneAnswers(
  stays: (key: string) => boolean,
  most = MOST_ANSWERS,
): Promise<void> {
  if (none()) return;
  const tx = (await disk()).transaction('answers', 'readwrite');
  let over = (await tx.store.count()) - most;
  for (let at = await tx.store.index('at').openCursor(); at && over > 0; at = await at.continue())
    if (!stays(at.primaryKey)) {
      await at.delete();
      over -= 1;
    }
  await tx.done;
}
