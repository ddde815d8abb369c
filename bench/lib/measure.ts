/** Runs for a second after warming up, and takes the best of five: other work on the machine only slows it. */
export function perSecond(work: () => unknown, budgetMs = 100): number {
  const until = (ms: number): number => {
    const from = performance.now();
    let runs = 0;
    let spent = 0;
    do {
      work();
      runs += 1;
      spent = performance.now() - from;
    } while (spent < ms);
    return (runs * 1000) / spent;
  };
  until(budgetMs);
  return Math.max(...Array.from({ length: 5 }, () => until(budgetMs)));
}

/** Columns of figures, aligned for a terminal. */
export function table(head: string[], rows: string[][]): string {
  const widths = head.map((h, i) => Math.max(h.length, ...rows.map((r) => (r[i] ?? '').length)));
  const line = (cells: string[]) =>
    cells
      .map((c, i) => (i === 0 ? c.padEnd(widths[i] ?? 0) : c.padStart(widths[i] ?? 0)))
      .join('  ');
  return [head, widths.map((w) => '-'.repeat(w)), ...rows].map(line).join('\n');
}

export const times = (ratio: number): string =>
  `${ratio >= 10 ? ratio.toFixed(0) : ratio.toFixed(1)} ×`;
export const rate = (n: number): string => Math.round(n).toLocaleString('en').replace(/,/g, ' ');
