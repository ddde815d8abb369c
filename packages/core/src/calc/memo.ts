/**
 * A store of results for one match run: a sum that several cards ask with the very same input is worked once. The key is
 * the whole input, written out, so that two questions that differ in anything never share an answer.
 */
export type Memo = <I extends object, R>(name: string, input: I, run: (input: I) => R) => R;

/** A fresh store. It lives as long as whoever made it holds it: one run of judging, or one plan. */
export function memoOf(): Memo {
  const known = new Map<string, unknown>();
  return (name, input, run) => {
    const key = name + JSON.stringify(input);
    if (known.has(key)) return known.get(key) as ReturnType<typeof run>;
    const made = run(input);
    known.set(key, made);
    return made;
  };
}
