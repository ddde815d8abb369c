import type { Clock } from '@/store/clock';
import type { Drafts } from '@/store/drafts';
import type { Outbox } from '@/store/outbox';
import type { Settings } from '@/store/settings';
import type { Tools } from '@/store/tools';
import type { Entry } from '../offline/disk';

/** The slices that are kept on the device. */
export interface KeptState {
  clock: Clock;
  drafts: Drafts;
  outbox: Outbox;
  settings: Settings;
  tools: Tools;
}
type Slice = keyof KeptState;
type Fields = Record<string, unknown>;

/**
 * The fields of each slice that are stored as separate entries: by key, or for a list by the item's id; otherwise as
 * one entry.
 */
const PARTS: { [S in Slice]: { [F in keyof KeptState[S]]: 'one' | 'keys' | 'ids' } } = {
  clock: { aheadMs: 'one' },
  drafts: { surveys: 'keys', touched: 'keys', bases: 'keys', texts: 'keys' },
  outbox: { queue: 'ids', kept: 'ids' },
  settings: {
    ...{ theme: 'one', units: 'one', weights: 'keys', leaving: 'one', inHand: 'one' },
    ...{ loud: 'one', aloud: 'one', listens: 'one', pinned: 'keys', misbehaves: 'keys' },
  },
  tools: { typed: 'keys' },
};
export const SLICES = Object.keys(PARTS) as Slice[];

/** The repair that an entry pins; null for other entries. */
export const pinnedId = (key: string): string | null =>
  key.startsWith(PINNED) ? key.slice(PINNED.length) : null;
const PINNED = 'settings/pinned/';

interface Listed {
  id: string;
  /** Its position in its list. */
  seq: number;
}

/** The parts of a field that have their own entries, by key; `''` is the whole field. */
function partsOf(how: string | undefined, value: unknown): Record<string, unknown> {
  if (how === 'ids')
    return Object.fromEntries(((value ?? []) as Listed[]).map((item) => [item.id, item]));
  return how === 'keys' ? ((value ?? {}) as Fields) : { '': value };
}

function fieldChanges({
  slice,
  field,
  before,
  after,
}: {
  slice: Slice;
  field: string;
  before: unknown;
  after: unknown;
}): Entry[] {
  if (before === after) return [];
  const how = (PARTS[slice] as Record<string, string>)[field];
  const [old, now] = [partsOf(how, before), partsOf(how, after)];
  return [...new Set([...Object.keys(old), ...Object.keys(now)])]
    .filter((key) => old[key] !== now[key])
    .map((key) => [`${slice}/${field}/${key}`, now[key]] as const);
}

/** The entries to write so that the device stores `after` instead of `before`: only the differences. */
export const changesOf = (before: KeptState, after: KeptState): Entry[] =>
  SLICES.flatMap((slice) =>
    before[slice] === after[slice]
      ? []
      : Object.keys(PARTS[slice]).flatMap((field) =>
          fieldChanges({
            slice,
            field,
            before: (before[slice] as object as Fields)[field],
            after: (after[slice] as object as Fields)[field],
          }),
        ),
  );

/** Every entry of a slice that an earlier version stored whole under one key. */
export function entriesOfWhole(slice: Slice, whole: object): Entry[] {
  const numbered = Object.entries(whole).map(([field, value]) => [
    field,
    Array.isArray(value)
      ? value.map((item: Fields, seq) => ({
          ...{ by: null, aheadMs: 0, tries: 0 },
          ...item,
          id: item.id ?? (item.command as Listed | undefined)?.id,
          seq,
        }))
      : value,
  ]);
  const fields = Object.fromEntries(numbered) as Fields;
  return Object.keys(PARTS[slice]).flatMap((field) =>
    fieldChanges({ slice, field, before: undefined, after: fields[field] }),
  );
}

function put(
  how: string | undefined,
  { field, key, value }: { field: unknown; key: string; value: unknown },
): unknown {
  if (how === 'one') return value ?? field;
  if (how === 'keys') {
    const { [key]: _, ...others } = field as Fields;
    return value === undefined ? others : { ...others, [key]: value };
  }
  const others = (field as Listed[]).filter((item) => item.id !== key);
  return value === undefined
    ? others
    : [...others, value as Listed].sort((p, q) => p.seq - q.seq || (p.id < q.id ? -1 : 1));
}

/** The state after applying entries that were read from the device or sent by another tab. */
export function withEntries<S extends KeptState>(state: S, entries: readonly Entry[]): S {
  let next = state;
  for (const [name, value] of entries) {
    const [slice = '', field = '', ...rest] = name.split('/');
    const how = (PARTS[slice as Slice] as Record<string, string> | undefined)?.[field];
    if (!how) continue;
    const fields = next[slice as Slice] as object as Fields;
    const changed = {
      ...fields,
      [field]: put(how, { field: fields[field], key: rest.join('/'), value }),
    };
    next = { ...next, [slice]: changed };
  }
  return next;
}
