import { calcByName, calcs } from '../src/calculations/registry';
import { formOf, type FormNode } from '../src/tool/form';
import { resultRows } from '../src/tool/result';
import { blank, readTyped, typedOf, type TypedGroup } from '../src/tool/typed';

const form = (name: string) => {
  const calc = calcByName.get(name);
  if (!calc) throw new Error(name);
  return { calc, node: formOf(calc) };
};

test.each(calcs.map((c) => c.name))(
  '%s: its form reads and returns its example, in both unit systems',
  (name) => {
    const { calc, node } = form(name);
    for (const system of ['metric', 'us'] as const) {
      const read = readTyped(node, typedOf(node, calc.example, system), { system });
      expect(read.issues).toEqual([]);
      const once = calc.run(calc.example);
      const again = calc.run(read.value);
      const strip = (a: object) =>
        JSON.parse(JSON.stringify(a), (_k, v: unknown) =>
          typeof v === 'number' ? Number(v.toPrecision(9)) : v,
        ) as object;
      expect(strip({ ...again, working: 0 })).toEqual(strip({ ...once, working: 0 }));
      const rows = resultRows(calc, again, system).map((r) => r.key);
      // In their own order, but for the headline, which comes first.
      const told = Object.keys(calc.result).filter((key) => calc.result[key] && key in again);
      const first = (key: string) => Number(key === calc.headline);
      expect(rows).toEqual(told.sort((a, b) => first(b) - first(a)));
    }
  },
);

test('a figure without a unit is read as typed: comma, true minus, surrounding spaces', () => {
  const { calc, node } = form('dew-point');
  const plain = form('film');
  const solids = (text: string) =>
    readTyped(
      plain.node,
      {
        ...(typedOf(plain.node, plain.calc.example, 'metric') as TypedGroup),
        volumeSolidsPct: text,
      },
      { system: 'metric' },
    );
  expect(solids(' 62,5 ').value).toMatchObject({ volumeSolidsPct: 62.5 });
  expect(solids('−5').issues.map((i) => i.message)).toEqual([expect.stringMatching(/^Too small/)]);
  const cold = readTyped(
    node,
    { ...(typedOf(node, calc.example, 'metric') as TypedGroup), airC: '−5,5' },
    { system: 'metric' },
  );
  expect(cold.value).toMatchObject({ airC: -5.5 });
});

test('log times that do not rise are reported at the wrong row, with the one before', () => {
  const { calc } = form('maturity');
  const history = [0, 4, 4, 9].map((atHour) => ({ atHour, tempC: 20 }));
  const found = calc.input.safeParse({ ...(calc.example as object), history });
  expect(found.error?.issues.map((i) => [i.path.join('.'), i.message])).toEqual([
    ['history.2.atHour', 'must be over 4, the time before it'],
  ]);
});

test('a US user types inches, psi and Fahrenheit; the calculation gets millimetres, bar and Celsius', () => {
  const { calc, node } = form('wrap-design');
  const typed = typedOf(node, calc.example, 'us') as TypedGroup;
  const read = readTyped(
    node,
    { ...typed, outsideDiameterMm: '8 5/8', pressureBar: '87', designC: '160' },
    { system: 'us' },
  );
  expect(read.issues).toEqual([]);
  expect(read.value).toMatchObject({
    outsideDiameterMm: expect.closeTo(219.075, 6),
    pressureBar: expect.closeTo(5.99844, 4),
    designC: expect.closeTo(71.1111, 3),
  });
});

test('errors are reported by path, with the range in the typed unit', () => {
  const { node } = form('dew-point');
  expect(readTyped(node, { airC: '200', rhPct: 'damp' }, { system: 'us' }).issues).toEqual([
    { path: 'airC', message: 'Too big: 140 °F is the most.' },
    { path: 'rhPct', message: expect.stringMatching(/“damp” is not a number/) },
  ]);
  const film = form('film');
  const typed = { areaM2: '0', dftUm: '', volumeSolidsPct: '96', coats: '1.5' };
  expect(
    readTyped(film.node, typed, { system: 'metric' }).issues.map((i) => `${i.path}: ${i.message}`),
  ).toEqual([
    'areaM2: Too small: must be over 0.',
    'dftUm: Type a number.',
    'coats: Must be a whole number.',
  ]);
});

test('lists and variants: each row by its index, each variant with its own fields', () => {
  const { node } = form('belt-patch');
  const hole = node.nodes.find((n) => n.key === 'hole');
  if (hole?.kind !== 'variant') throw new Error('hole');
  expect(hole.options.map((o) => o.name)).toEqual(['round', 'slot']);
  const typed = {
    hole: { '': 'slot', lengthMm: '130', widthMm: '32' },
    throughMm: '16',
    lapMm: '60',
    coverMm: '2',
    through: true,
  };
  expect(readTyped(node, typed, { system: 'metric' }).value).toMatchObject({
    hole: { kind: 'slot', lengthMm: 130, widthMm: 32 },
    through: true,
  });
  const cure = form('cure-time');
  const rows = {
    points: [
      { tempC: '10', minutes: '2 h' },
      { tempC: 'x', minutes: '' },
    ],
    tempC: '16',
  };
  expect(readTyped(cure.node, rows, { system: 'metric' }).issues.map((i) => i.path)).toEqual([
    'points.1.tempC',
    'points.1.minutes',
  ]);
  expect(blank(hole)).toEqual({ '': 'round' });
});

/** Every field of a form, itself and what it holds. */
const all = (node: FormNode): FormNode[] => [
  node,
  ...(node.kind === 'group'
    ? node.nodes.flatMap(all)
    : node.kind === 'variant'
      ? node.options.flatMap((o) => all(o.node).slice(1))
      : node.kind === 'list' && node.item.kind === 'group'
        ? all(node.item).slice(1)
        : []),
];
const numbers = (value: unknown): boolean => typeof value === 'number';

test.each(calcs.map((c) => c.name))('%s names each field of its input and result', (name) => {
  const { calc, node } = form(name);
  const fields = all(node).slice(1);
  expect(fields.filter((f) => f.label === '').map((f) => f.key)).toEqual([]);
  const answer = calc.run(calc.example) as unknown as Record<string, unknown>;
  for (const [key, value] of Object.entries(answer)) {
    if (['ok', 'working'].includes(key)) continue;
    const named = calc.result[key];
    if (key === 'curve') expect(named).toBeNull();
    else expect(named?.title).toMatch(/^[A-ZÅ]/);
    if (Array.isArray(value) && value.every((v) => typeof v === 'object') && named?.of)
      expect(Object.keys(named.of)).toEqual(
        expect.arrayContaining([...new Set(value.flatMap((v) => Object.keys(v as object)))]),
      );
  }
  for (const [key, value] of Object.entries(answer))
    if (numbers(value) && /(Mm|Ml|Min|C|Pct|Kg|Um|MPa|G)$/.test(key))
      expect([key, calc.result[key]?.['x-unit']]).not.toEqual([key, undefined]);
});

test("a field's quantity comes from its schema", () => {
  const at = (name: string, key: string) => all(form(name).node).find((f) => f.key === key);
  expect(at('wrap-lay', 'outsideDiameterMm')).toMatchObject({
    label: 'Outside diameter',
    measure: { quantity: 'length', factor: 1 },
  });
  expect(at('crack-movement', 'panelLengthM')).toMatchObject({
    label: 'Panel length',
    measure: { factor: 1000, us: 'ft' },
  });
  expect(at('exotherm', 'hWm2K')).toMatchObject({
    label: 'Heat loss',
    fixedUnit: 'W/(m²·K)',
    measure: null,
  });
  expect(at('wrap-lay', 'layers')).toMatchObject({ label: 'Layers', measure: null });
});

test('tables of a result have headings for their columns', () => {
  const heads = (name: string) => {
    const { calc } = form(name);
    return resultRows(calc, calc.run(calc.example), 'metric').flatMap((r) =>
      r.kind === 'table' ? [r.head] : [],
    );
  };
  expect(heads('kit-pick')).toEqual([['Pack', 'Count']]);
  expect(heads('window-find')).toEqual([['From', 'To', 'Latest start']]);
  expect(heads('survival')).toEqual([['After', 'Still watched', 'Failed', 'Still holding']]);
});
