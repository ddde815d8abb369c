/** Nodes and weights of the five-point Gauss–Legendre rule on −1..1: exact for polynomials up to degree nine. */
const NODES = [0, 0.5384693101056831, 0.906179845938664];
const WEIGHTS = [0.5688888888888889, 0.47862867049936647, 0.23692688505618908];

/** Integral of a smooth function from `a` to `b` by one five-point Gauss–Legendre rule. */
export function gauss5(f: (x: number) => number, a: number, b: number): number {
  const mid = (a + b) / 2;
  const half = (b - a) / 2;
  let sum = (WEIGHTS[0] as number) * f(mid);
  for (let i = 1; i < 3; i++) {
    const off = half * (NODES[i] as number);
    sum += (WEIGHTS[i] as number) * (f(mid - off) + f(mid + off));
  }
  return sum * half;
}

/** The x values strictly between x0 and x1 at which a straight line crosses the given heights, sorted. */
export function crossings({
  x0,
  y0,
  x1,
  y1,
  heights,
}: {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
  heights: readonly number[];
}): number[] {
  if (y0 === y1) return [];
  return heights
    .filter((h) => (h - y0) * (h - y1) < 0)
    .map((h) => x0 + ((h - y0) / (y1 - y0)) * (x1 - x0))
    .sort((p, q) => p - q);
}
