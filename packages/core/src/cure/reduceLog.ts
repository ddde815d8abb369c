/** Moments in rising order with the values read at each: always the same number of values. */
export interface LogReading {
  at: number;
  values: readonly number[];
}

/** The distance of a row from the straight line between two others, for its worst value. */
function offLine(from: LogReading, to: LogReading, row: LogReading): number {
  const share = (row.at - from.at) / (to.at - from.at);
  return Math.max(
    ...row.values.map((v, i) => {
      const [a, b] = [from.values[i] as number, to.values[i] as number];
      return Math.abs(v - (a + share * (b - a)));
    }),
  );
}

/**
 * A log without redundant rows: the rest, joined by straight lines, differs nowhere by more than `within` from what was
 * read. The first and the last row stay. The cure clock uses straight lines.
 */
export function reduceLog<R extends LogReading>(rows: readonly R[], within: number): R[] {
  const keep = new Set([0, rows.length - 1]);
  const spans: [number, number][] = [[0, rows.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [a, b] = span;
    let [worst, off] = [-1, within];
    for (let i = a + 1; i < b; i += 1) {
      const far = offLine(rows[a] as R, rows[b] as R, rows[i] as R);
      if (far > off) [worst, off] = [i, far];
    }
    if (worst < 0) continue;
    keep.add(worst);
    spans.push([a, worst], [worst, b]);
  }
  return rows.filter((_, i) => keep.has(i));
}
