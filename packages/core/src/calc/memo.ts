/**
 * A store of results that many cards share for one survey: kept as long as the object they were worked out for, told
 * apart by a key made of the figures they hang on. Pure: the same key must always mean the same result.
 */
export function sharedBy<O extends object, R>(): (owner: O, key: string, make: () => R) => R {
  const known = new WeakMap<O, Map<string, R>>();
  return (owner, key, make) => {
    let results = known.get(owner);
    if (!results) known.set(owner, (results = new Map()));
    let result = results.get(key);
    if (result === undefined) results.set(key, (result = make()));
    return result;
  };
}
