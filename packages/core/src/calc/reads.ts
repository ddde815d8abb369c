/** What was asked of an input while a result was made of it: a value, the names of what it holds, or whether it holds one. */
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

/** Parts of an input that are always read whole, such as a curve: told by what is written in them, and handed out bare. */
export type Whole = (value: object) => boolean;

/** What a read branches on: a plain value by itself, a part that is read whole by its text, a record or a list by being one. */
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

/** Follows what was asked of earlier inputs; what was asked of all that agree with this one so far comes next. */
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

/** Hands an input out so that all that is asked of it, and of what it holds, is noted once, in order. */
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
    // The target is a bare one, so that a frozen input may be handed out watched all the way down.
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
 * Shares the results of one run between inputs that agree in all that was asked of them: the reads are noted while a
 * result is made, so no key is kept by hand and none can be forgotten. `run` is pure in what it is handed, and what it
 * gives back holds plain values only, nothing of the input itself. `whole` names the parts that are always read whole.
 */
export function sharedByReads<I extends object, R>(
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
