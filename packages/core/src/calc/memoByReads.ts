/** How an input was read: a value, the names of its fields, or whether a field exists. */
type How = 'value' | 'names' | 'holds';

interface Asked<R> {
  slot: number;
  key: PropertyKey;
  how: How;
  next: Map<unknown, Found<R>>;
}
type Found<R> = Asked<R> | { made: R };

const A_LIST = Symbol('list');
const A_RECORD = Symbol('record');

/**
 * Parts of an input that are always read whole, such as a curve: compared by their text, and handed out without a
 * proxy.
 */
export type Whole = (value: object) => boolean;

/** The key of a read: a plain value itself, a whole part by its text, a record or list by its kind. */
function brancher(whole: Whole) {
  const texts = new WeakMap<object, string>();
  const textOf = (value: object): string => {
    let text = texts.get(value);
    if (text === undefined) texts.set(value, (text = `whole ${JSON.stringify(value)}`));
    return text;
  };
  return (value: unknown): { branch: unknown; opened: object | null } => {
    if (typeof value !== 'object' || value === null) return { branch: value, opened: null };
    if (whole(value)) return { branch: textOf(value), opened: null };
    return { branch: Array.isArray(value) ? A_LIST : A_RECORD, opened: value };
  };
}
type Brancher = ReturnType<typeof brancher>;

function answer(source: object, key: PropertyKey, how: How): unknown {
  if (how === 'value') return Reflect.get(source, key);
  return how === 'holds'
    ? Reflect.has(source, key)
    : Reflect.ownKeys(source).map(String).join('\n');
}

/** Follows the recorded reads of earlier inputs as far as this input agrees with them. */
function follow<R>(root: Found<R>, input: object, branchOf: Brancher): R | undefined {
  const slots: object[] = [input];
  let at: Found<R> | undefined = root;
  while (at && !('made' in at)) {
    const { branch, opened } = branchOf(answer(slots[at.slot] as object, at.key, at.how));
    if (opened) slots.push(opened);
    at = at.next.get(branch);
  }
  return at?.made;
}

/** Wraps an input in a proxy that records each first read of it and of its parts, in order. */
function watched<I extends object>(
  input: I,
  branchOf: Brancher,
  note: (ask: Omit<Asked<never>, 'next'>, branch: unknown) => void,
): I {
  let slots = 0;
  const over = (source: object): object => {
    const slot = slots++;
    const known: Record<How, Map<PropertyKey, unknown>> = {
      value: new Map(),
      names: new Map(),
      holds: new Map(),
    };
    const ask = (key: PropertyKey, how: How): unknown => {
      const before = known[how].get(key);
      if (before !== undefined || known[how].has(key)) return before;
      const value = answer(source, key, how);
      if (typeof value === 'function') return value;
      const { branch, opened } = branchOf(value);
      note({ slot, key, how }, branch);
      const seen = opened ? over(opened) : value;
      known[how].set(key, seen);
      return seen;
    };
    // An empty target, so that a frozen input can be wrapped at every level.
    return new Proxy(Array.isArray(source) ? [] : {}, {
      get: (_, key) => ask(key, 'value'),
      has: (_, key) => ask(key, 'holds') as boolean,
      ownKeys: () => {
        ask('', 'names');
        return Reflect.ownKeys(source);
      },
      getOwnPropertyDescriptor: (target, key) => {
        if (!ask(key, 'holds')) return undefined;
        const own = Reflect.getOwnPropertyDescriptor(target, key);
        return (
          own ?? { value: ask(key, 'value'), enumerable: true, configurable: true, writable: true }
        );
      },
    });
  };
  return over(input) as I;
}

/**
 * Caches the results of a run, shared between inputs that agree in everything the run reads: the reads are recorded, so
 * no cache key is written by hand and none can be forgotten. `run` must be pure in its input, and its result must hold
 * plain values only, nothing of the input.
 */
export function memoByReads<I extends object, R>(
  whole: Whole = () => false,
): (input: I, run: (input: I) => R) => R {
  const branchOf = brancher(whole);
  let root: Found<R> | null = null;
  return (input, run) => {
    const known = root && follow(root, input, branchOf);
    if (known !== null && known !== undefined) return known;
    let put = (found: Found<R>) => {
      root = found;
    };
    let at: Found<R> | null = root;
    const note = ({ slot, key, how }: Omit<Asked<never>, 'next'>, branch: unknown) => {
      const asked: Asked<R> = at && !('made' in at) ? at : { slot, key, how, next: new Map() };
      if (asked !== at) put(asked);
      at = asked.next.get(branch) ?? null;
      put = (found) => asked.next.set(branch, found);
    };
    const made = run(watched(input, branchOf, note));
    put({ made });
    return made;
  };
}
