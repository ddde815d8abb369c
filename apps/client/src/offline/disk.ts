import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

const NAME = 'kelmot';
const VERSION = 2;
/** Answers kept at most: the oldest go first. */
const MOST_ANSWERS = 400;

/** What the server answered to a question, kept for when it cannot be asked. */
export interface KeptAnswer {
  /** Whose it is and what was asked: one person never sees what another was answered. */
  key: string;
  data: unknown;
  /** When it came, epoch ms. */
  at: number;
}

interface Kept extends DBSchema {
  /** Drafts, outbox, settings and tools, each entry under a key of its own: two tabs never overwrite one another. */
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

/** A value under a key of the store of entries; undefined takes it away. */
export type Entry = readonly [key: string, value: unknown];

/** Every entry that this device keeps; nothing where there is no storage. */
export async function readEntries(): Promise<Entry[]> {
  if (none()) return [];
  const tx = (await disk()).transaction('state');
  const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
  return keys.map((key, i) => [key, values[i]]);
}

/** Writes entries, all or none. They are on disk when the promise is fulfilled. */
export async function writeEntries(entries: readonly Entry[]): Promise<void> {
  if (none()) return;
  const tx = (await disk()).transaction('state', 'readwrite');
  const written: Promise<unknown>[] = [];
  try {
    for (const [key, value] of entries)
      written.push(value === undefined ? tx.store.delete(key) : tx.store.put(value, key));
  } catch (error) {
    // A value that cannot be copied is refused at once, and what was asked for before it would be written without it.
    tx.abort();
    await Promise.allSettled([...written, tx.done]);
    throw error;
  }
  // Not left to the end of the turn: a page that is reloaded there and then would take what was typed last with it.
  tx.commit();
  await Promise.all([...written, tx.done]);
}

/** An answer that is kept; undefined where there is none. */
export async function readAnswer(key: string): Promise<KeptAnswer | undefined> {
  return none() ? undefined : (await disk()).get('answers', key);
}

/** Keeps an answer in place of the one before it. */
export async function writeAnswer(answer: KeptAnswer): Promise<void> {
  if (!none()) await (await disk()).put('answers', answer);
}

/** Takes away one answer. */
export async function dropAnswer(key: string): Promise<void> {
  if (!none()) await (await disk()).delete('answers', key);
}

/** Takes away the oldest answers over what is kept at most, but none that is to stay. */
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
