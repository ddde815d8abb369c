import { word, type Mix } from '../src';
import { mixStages } from '../src/materials/stages';

const common = { mixMinutes: 4, mixedSign: 'One colour', tool: 'Paddle' };
const told = (mix: Mix, schools: Record<string, string> = {}) =>
  mixStages(mix, schools).map((s) => [word(s.label), s.minutes, word(s.then)]);

const powder: Mix = {
  ...{ kind: 'powder-water', bagKg: 25, yieldLPerBag: 12, waterLPerBag: { patch: 3 } },
  ...{ restMinutes: 3, maxAggregatePct: 0, aggregateOverMm: 50, tolerancePct: 5, ...common },
};
const wrap: Mix = {
  ...{ kind: 'water-set', soakSeconds: 20, squeezes: 3, leastLayers: 8, ...common },
};

test('a stirred mix is mixed for its time, and then checked', () => {
  const mix: Mix = { kind: 'light-cured', ...common } as Mix;
  expect(told(mix)).toEqual([['Mixing', 4, 'One colour? Then place it.']]);
});

test('a nozzle mix needs no clock, and a single part is only prepared', () => {
  const cartridge: Mix = {
    ...{ kind: 'cartridge', ratio: { a: 1, b: 1, by: 'volume' }, density: 1, purgeMl: 5 },
    ...common,
  };
  expect(told(cartridge)).toEqual([]);
  expect(told({ kind: 'single', ...common } as Mix)[0]?.slice(0, 2)).toEqual([
    'Making it ready',
    4,
  ]);
});

test('a powder rests after mixing by its card, or not at all', () => {
  expect(told(powder).map(([label, minutes]) => [label, minutes])).toEqual([
    ['Mixing', 4],
    ['At rest', 3],
  ]);
  expect(told(powder)[0]?.[2]).toBe('Let it rest 3 min.');
  expect(told({ ...powder, restMinutes: 0 })).toHaveLength(1);
});

test('a wrap is under water as its card says, and twice as long when it lies still', () => {
  expect(told(wrap)).toEqual([
    ['Under water', 20 / 60, 'Squeeze it 3 times and lift it out. Wrap at once.'],
  ]);
  expect(told({ ...wrap, squeezes: 1 })[0]?.[2]).toMatch(/^Squeeze it once /);
  const [still] = told(wrap, { soak: 'still' });
  expect(still?.[1]).toBeCloseTo(40 / 60, 9);
  expect(still?.[2]).toBe('Lift it out and let it drip. Wrap at once.');
});
