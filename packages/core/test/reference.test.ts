import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { call } from '../src/calculations/call';
import { calcs } from '../src/calculations/registry';

interface Case {
  calc: string;
  input: unknown;
  expect: Record<string, unknown>;
  tol: number;
}

const folder = join(__dirname, 'reference');
const known = new Set(calcs.map((c) => c.name));
const files = readdirSync(folder).filter((f) => known.has(f.replace('.json', '')));

/** A number passes within tol of the larger of its size and 1e-6; everything else must be the same. */
function expectClose(got: unknown, want: unknown, tol: number, path: string): void {
  if (typeof want === 'number') {
    const off = Math.abs((got as number) - want);
    if (!(off <= tol * Math.max(Math.abs(want), 1e-6)))
      throw new Error(`${path}: got ${String(got)}, want ${want}`);
  } else if (want !== null && typeof want === 'object') {
    if (Array.isArray(want)) expect((got as unknown[]).length).toBe(want.length);
    for (const [key, value] of Object.entries(want)) {
      expectClose((got as Record<string, unknown> | null)?.[key], value, tol, `${path}.${key}`);
    }
  } else {
    expect({ [path]: got }).toEqual({ [path]: want });
  }
}

describe.each(files)('%s', (file) => {
  const cases = JSON.parse(readFileSync(join(folder, file), 'utf8')) as Case[];
  test.each(cases.map((c, i) => [i, c] as const))('worked case %i', (_, c) => {
    const result = call(c.calc, c.input);
    if (result.status !== 'answer') throw new Error(JSON.stringify(result.bad));
    expectClose(result.answer, c.expect, c.tol, c.calc);
    const answer = result.answer as { ok: boolean; working?: { value: unknown }[]; why?: string };
    if (answer.ok) expect(answer.working?.length).toBeGreaterThan(0);
    else expect(answer.why).toMatch(/\.$/);
    expect(JSON.stringify(answer)).not.toMatch(/NaN|Infinity/);
  });
});

test('every worked-case file in the folder belongs to a calculation', () => {
  expect(files.length).toBe(calcs.length);
});
