import { calcByName, calcs } from '../src/calc/registry';
import { fieldName } from '../src/tool/fieldNames';
import { formOf } from '../src/tool/form';
import { resultRows } from '../src/tool/result';
import { blank, readTyped, typedOf, type TypedGroup } from '../src/tool/typed';

const form = (name: string) => {
  const calc = calcByName.get(name);
  if (!calc) throw new Error(name);
  return { calc, node: formOf(calc) };
};

test.each(calcs.map((c) => c.name))(
  '%s: its form takes its example and gives it back, in both systems',
  (name) => {
    const { calc, node } = form(name);
    for (const system of ['metric', 'us'] as const) {
      const read = readTyped(node, typedOf(node, calc.example, system), system);
      expect(read.issues).toEqual([]);
      const first = calc.run(calc.example);
      const again = calc.run(read.value);
      const strip = (a: object) =>
        JSON.parse(JSON.stringify(a), (_k, v: unknown) =>
          typeof v === 'number' ? Number(v.toPrecision(9)) : v,
        ) as object;
      expect(strip({ ...again, working: 0 })).toEqual(strip({ ...first, working: 0 }));
      expect(resultRows(again, system).length).toBeGreaterThan(0);
    }
  },
);

test('a US user types inches, psi and Fahrenheit; the sum gets millimetres, bar and Celsius', () => {
  const { calc, node } = form('wrap-design');
  const typed = typedOf(node, calc.example, 'us') as TypedGroup;
  const read = readTyped(
    node,
    { ...typed, outsideDiameterMm: '8 5/8', pressureBar: '87', designC: '160' },
    'us',
  );
  expect(read.issues).toEqual([]);
  expect(read.value).toMatchObject({
    outsideDiameterMm: expect.closeTo(219.075, 6),
    pressureBar: expect.closeTo(5.99844, 4),
    designC: expect.closeTo(71.1111, 3),
  });
});

test('what is wrong is told by path, with the range in the unit typed in', () => {
  const { node } = form('dew-point');
  expect(readTyped(node, { airC: '200', rhPct: 'damp' }, 'us').issues).toEqual([
    { path: 'airC', message: 'Too big: 140 °F is the most.' },
    { path: 'rhPct', message: expect.stringMatching(/“damp” is not a number/) },
  ]);
  const film = form('film');
  const typed = { areaM2: '0', dftUm: '', volumeSolidsPct: '96', coats: '1.5' };
  expect(
    readTyped(film.node, typed, 'metric').issues.map((i) => `${i.path}: ${i.message}`),
  ).toEqual([
    'areaM2: Too small: must be over 0.',
    'dftUm: Type a number.',
    'coats: Must be a whole number.',
  ]);
});

test('lists and forms of a shape: each row by its place, each form with its own fields', () => {
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
  expect(readTyped(node, typed, 'metric').value).toMatchObject({
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
  expect(readTyped(cure.node, rows, 'metric').issues.map((i) => i.path)).toEqual([
    'points.1.tempC',
    'points.1.minutes',
  ]);
  expect(blank(hole)).toEqual({ '': 'round' });
});

test('fields are called in words and measured by their ending', () => {
  expect(fieldName('outsideDiameterMm')).toMatchObject({
    label: 'Outside diameter',
    measure: { quantity: 'length', factor: 1 },
  });
  expect(fieldName('panelLengthM')).toMatchObject({
    label: 'Panel length',
    measure: { factor: 1000, us: 'ft' },
  });
  expect(fieldName('hWm2K')).toMatchObject({
    label: 'Heat loss',
    fixedUnit: 'W/(m²·K)',
    measure: null,
  });
  expect(fieldName('layers')).toMatchObject({ label: 'Layers', measure: null });
});
