import { openDB, type IDBPDatabase } from 'idb';

const NAME = 'kelmot';
const STORE = 'state';

let opened: Promise<IDBPDatabase> | null = null;

function disk(): Promise<IDBPDatabase> {
  opened ??= openDB(NAME, 1, { upgrade: (db) => void db.createObjectStore(STORE) });
  return opened;
}

/** Reads what was kept under a key on this device; undefined when there is nothing, or no storage. */
export async function readKept<T>(key: string): Promise<T | undefined> {
  if (typeof indexedDB === 'undefined') return undefined;
  return (await (await disk()).get(STORE, key)) as T | undefined;
}

/** Keeps a value on this device. It is on disk when the promise is fulfilled. */
export async function keep(key: string, value: unknown): Promise<void> {
  if (typeof indexedDB === 'undefined') return;
  await (await disk()).put(STORE, value, key);
}
