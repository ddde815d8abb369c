/** A seeded generator of numbers in 0..1, mulberry32: the same seed gives the same sequence. */
export function mulberry32(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const CENTRE = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
  2.506628277459239,
];
const CENTRE_BELOW = [
  -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572,
  1,
];
const TAIL = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734,
  4.374664141464968, 2.938163982698783,
];
const TAIL_BELOW = [
  0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1,
];
const TAIL_FROM = 0.02425;

const horner = (coefficients: readonly number[], x: number) =>
  coefficients.reduce((sum, c) => sum * x + c, 0);

/** Quantile of the standard normal distribution for p in (0, 1): Acklam's rational approximation, relative error under 1.2e-9. */
export function normalQuantile(p: number): number {
  if (p < TAIL_FROM || p > 1 - TAIL_FROM) {
    const q = Math.sqrt(-2 * Math.log(Math.min(p, 1 - p)));
    const x = horner(TAIL, q) / horner(TAIL_BELOW, q);
    return p < 0.5 ? x : -x;
  }
  const q = p - 0.5;
  const r = q * q;
  return (horner(CENTRE, r) * q) / horner(CENTRE_BELOW, r);
}
