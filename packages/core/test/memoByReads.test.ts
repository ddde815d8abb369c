import { memoByReads } from '../src/calc/memoByReads';
import { chanceOfReady, readiness } from '../src/cure/readiness';
import { mulberry32 } from '../src/calc/random';

interface Thing {
  code: string;
  kind: string;
  layer: { minMm: number; maxMm: number };
  packs: { id: string; size: number; price: number }[];
  spare?: { note: string };
}
const thing = (more: Partial<Thing> = {}): Thing => ({
  code: 'A-1',
  kind: 'paste',
  layer: { minMm: 1, maxMm: 8 },
  packs: [
    { id: 'small', size: 500, price: 10 },
    { id: 'large', size: 2000, price: 30 },
  ],
  ...more,
});

function counted<R>(run: (seen: Thing) => R) {
  const shared = memoByReads<Thing, R>();
  const calls = { n: 0 };
  return {
    calls,
    of: (input: Thing) =>
      shared(input, (seen) => {
        calls.n += 1;
        return run(seen);
      }),
  };
}

test('inputs equal in everything that was read share one result; others may differ', () => {
  const { of, calls } = counted((t) => t.layer.maxMm + Math.max(...t.packs.map((p) => p.size)));
  expect(of(thing())).toBe(2008);
  expect(of(thing({ code: 'B-2', packs: thing().packs.map((p) => ({ ...p, price: 99 })) }))).toBe(
    2008,
  );
  expect(calls.n).toBe(1);
  expect(of(thing({ layer: { minMm: 1, maxMm: 9 } }))).toBe(2009);
  expect(calls.n).toBe(2);
});

test('branches are followed: what only one side reads does not separate the other', () => {
  const { of, calls } = counted((t) => (t.kind === 'paste' ? t.layer.minMm : t.layer.maxMm));
  expect([of(thing()), of(thing({ kind: 'tape' }))]).toEqual([1, 8]);
  expect(of(thing({ layer: { minMm: 1, maxMm: 5 } }))).toBe(1);
  expect(of(thing({ kind: 'tape', layer: { minMm: 1, maxMm: 5 } }))).toBe(5);
  expect(calls.n).toBe(3);
});

test('lengths, names and existence are reads too', () => {
  const { of, calls } = counted((t) => [
    t.packs.length,
    Object.keys({ ...t.layer }).join(),
    'spare' in t,
    t.spare?.note ?? 'none',
    JSON.stringify(t.packs),
  ]);
  const [first] = thing().packs;
  for (const input of [
    thing(),
    thing({ packs: first ? [first] : [] }),
    thing({ spare: { note: 'yes' } }),
    thing({ layer: { minMm: 1, maxMm: 8, extra: 1 } as Thing['layer'] }),
    thing({ packs: thing().packs.map((p) => ({ ...p, price: p.price + 1 })) }),
  ])
    expect(of(input)).toEqual([
      input.packs.length,
      Object.keys(input.layer).join(),
      'spare' in input,
      input.spare?.note ?? 'none',
      JSON.stringify(input.packs),
    ]);
  expect(calls.n).toBe(5);
});

test('a frozen input is wrapped too, at all levels', () => {
  const frozen = thing();
  for (const part of [frozen, frozen.layer, frozen.packs, ...frozen.packs]) Object.freeze(part);
  const { of } = counted((t) => t.packs.find((p) => p.size > t.layer.maxMm)?.id);
  expect(of(frozen)).toBe('small');
  expect(of(thing())).toBe('small');
});

test('a whole part is handed out unwrapped, and compared by all its content', () => {
  const shared = memoByReads<Thing, number>((value) => Array.isArray(value));
  const seen: boolean[] = [];
  let calls = 0;
  const of = (input: Thing) =>
    shared(input, (t) => {
      calls += 1;
      seen.push(t.packs === input.packs, t.layer === input.layer);
      return t.packs[0]?.size ?? 0;
    });
  expect(of(thing())).toBe(500);
  // The list itself, but a record that is watched.
  expect(seen).toEqual([true, false]);
  expect(of(thing({ code: 'B-2', kind: 'tape' }))).toBe(500);
  expect(calls).toBe(1);
  // Another price was not read, yet it stands in the part: it is worked again, and never shared wrongly.
  const [small, large] = thing().packs as [Thing['packs'][number], Thing['packs'][number]];
  expect(of(thing({ packs: [{ ...small, size: 700 }, large] }))).toBe(700);
  expect(of(thing({ packs: [small, { ...large, price: 31 }] }))).toBe(500);
  expect(calls).toBe(3);
});

test('for any reads, the shared result equals the separate one', () => {
  const random = mulberry32(11);
  const some = (n: number) => Math.floor(random() * n);
  const run = (t: Thing) =>
    t.layer.minMm > 1
      ? t.packs
          .filter((p) => p.size > 600)
          .map((p) => p.id)
          .join()
      : `${t.kind} ${t.packs.reduce((s, p) => s + p.price, 0)}`;
  const { of, calls } = counted(run);
  for (let i = 0; i < 500; i++) {
    const input = thing({
      code: `X-${i}`,
      kind: ['paste', 'tape'][some(2)] ?? '',
      layer: { minMm: some(3), maxMm: some(3) },
      packs: Array.from({ length: some(3) }, (_, k) => ({
        id: `p${k}`,
        size: 500 + 200 * some(2),
        price: some(2),
      })),
    });
    expect(of(input)).toBe(run(input));
  }
  expect(calls.n).toBeLessThan(100);
});

test('the chance alone equals the chance of all its traces', () => {
  const base = {
    points: [
      { tempC: 10, minutes: 1924 },
      { tempC: 20, minutes: 694 },
      { tempC: 30, minutes: 294 },
    ],
    startAt: '2031-10-11T18:30:00.000Z',
    utcOffsetMin: 0,
    seed: 5,
  };
  const random = mulberry32(3);
  for (let i = 0; i < 60; i++) {
    const input = {
      ...base,
      deadlineMin: Math.round(random() * 3000),
      meanTempC: random() * 40 - 5,
      sdTempC: random() * 4,
      dailySwingC: i % 2 ? random() * 12 : 0,
      traces: 1 + Math.floor(random() * 150),
    };
    const { curve: _curve, ...whole } = readiness(input);
    expect(chanceOfReady(input)).toEqual(whole);
  }
});
