/** Groups rows by a key, in their order. */
export function groupBy<T, K>(rows: readonly T[], by: (row: T) => K): Map<K, T[]> {
  const found = new Map<K, T[]>();
  for (const row of rows) {
    const own = found.get(by(row));
    if (own) own.push(row);
    else found.set(by(row), [row]);
  }
  return found;
}
