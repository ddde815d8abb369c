import fc from 'fast-check';
import { call } from '../src/calculations/call';
import { calcs, calcByName } from '../src/calculations/registry';

type Path = (string | number)[];

/** Every number inside an input, by its path. */
function numbersIn(value: unknown, at: Path = []): Path[] {
  if (typeof value === 'number') return [at];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([k, v]) =>
    numbersIn(v, [...at, Array.isArray(value) ? Number(k) : k]),
  );
}

/** Every number inside an answer. */
const numbersOf = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(numbersOf)
      : [];

/** A copy of an input with one number put elsewhere. */
function withNumber(value: unknown, [head, ...rest]: Path, x: number): unknown {
  if (head === undefined) return x;
  const copy = (
    Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }
  ) as Record<string | number, unknown>;
  copy[head] = withNumber(copy[head], rest, x);
  return copy;
}

const EXTREMES = [
  0, -1, 1, 1e-9, 1e-6, 1e-3, 0.5, 50, 99.9, 100, 1e3, 1e6, 1e12, -40, -60, 60, 250, 14,
];

test.each(calcs.map((c) => c.name))(
  '%s: its example has an answer that ends in the first result',
  (name) => {
    const calc = calcByName.get(name);
    const result = call(name, calc?.example);
    if (result.status !== 'answer') throw new Error(JSON.stringify(result.bad));
    const answer = result.answer as { ok: boolean; working: { value: unknown; label: string }[] };
    expect(answer.ok).toBe(true);
    const first = Object.entries(answer).find(([key]) => key !== 'ok')?.[1];
    if (typeof first === 'number' || typeof first === 'string')
      expect(answer.working.at(-1)?.value).toBe(first);
  },
);

test.each(calcs.map((c) => c.name))(
  '%s: at the edges, a finite answer, a reason, or an error naming the field',
  (name) => {
    const example = calcByName.get(name)?.example;
    const paths = numbersIn(example);
    const slip = fc.tuple(fc.constantFrom(...paths), fc.constantFrom(...EXTREMES));
    fc.assert(
      fc.property(fc.array(slip, { minLength: 1, maxLength: 3 }), (slips) => {
        const input = slips.reduce<unknown>(
          (whole, [path, x]) => withNumber(whole, path, x),
          example,
        );
        const result = call(name, input);
        if (result.status === 'bad') {
          expect(result.bad.issues.length).toBeGreaterThan(0);
          return;
        }
        const odd = numbersOf(result.answer).filter((x) => !Number.isFinite(x));
        expect([odd, /NaN|Infinity/.exec(JSON.stringify(result.answer))]).toEqual([[], null]);
      }),
      {
        numRuns: name === 'exotherm' || name === 'readiness' ? 25 : 150,
        interruptAfterTimeLimit: 20_000,
      },
    );
  },
  60_000,
);
