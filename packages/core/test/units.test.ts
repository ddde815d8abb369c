import { convert } from 'convert';
import { countdown, countdownText, dayClockText } from '../src/schedule/clock';
import { formatDuration, formatQuantity, typedFigure } from '../src/units/format';
import { parseQuantity } from '../src/units/parse';
import fc from 'fast-check';
import { fromBase, quantity, QUANTITY_IDS, toBase, type QuantityId } from '../src/units/quantities';

test.each<[string, QuantityId, number]>([
  ['1 1/2 in', 'length', 38.1],
  ['38mm', 'length', 38],
  ['3/8"', 'length', 9.525],
  ['2ft 3in', 'length', 685.8],
  ['12,5', 'length', 12.5],
  ['1½ in', 'length', 38.1],
  ['90 F', 'temperature', 32.22222222],
  ['−5', 'temperature', -5],
  ['20 h 34 min', 'time', 1234],
  ['2 h 15', 'time', 135],
  ['2:15', 'time', 135],
  ['1 d', 'time', 1440],
  ['1.5 kg', 'mass', 1500],
  ['3 mil', 'thinFilm', 76.2],
  ['55%', 'percent', 55],
  ['5\' 6 1/2"', 'length', 1689.1],
  ['−1 1/4 in', 'length', -31.75],
  ['87 psi', 'pressure', 5.998439],
  ['600 kPa', 'pressure', 6],
  ['2.4 g/cm3', 'density', 2.4],
  ['60 sq ft', 'area', 5574182.4],
  ['12 mm2', 'area', 12],
  ['8 fl oz', 'volume', 236.588236],
  ['1 gal 2 qt', 'volume', 5678.117676],
  ['40 sq ft/gal', 'coverage', 0.981695],
  ['5 °F', 'temperatureStep', 2.777778],
])('%s is read as %s %d', (text, quantity, value) => {
  const parsed = parseQuantity(text, quantity, { system: 'metric' });
  expect(parsed).toEqual({ ok: true, value: expect.closeTo(value, 6) });
});

test('a bare number is in the unit of the present system', () => {
  expect(parseQuantity('2', 'length', { system: 'us' })).toEqual({ ok: true, value: 50.8 });
});

test.each([
  ['', 'length', /Type a number in mm/],
  ['twelve', 'length', /not a number/],
  ['12 kg', 'length', /“kg” is not a unit here. Use mm, cm, m, in, ft/],
  ['12 mm 3', 'length', /not a number/],
  ['3/0', 'length', /not a number/],
  ['5 h 20 h', 'time', /not a number/],
] as const)('%j is rejected with an example', (text, quantity, words) => {
  const parsed = parseQuantity(text, quantity, { system: 'metric' });
  expect(parsed).toEqual({ ok: false, message: expect.stringMatching(words) });
});

test('figures are rounded to what can be measured', () => {
  expect(formatQuantity(412.34, 'mass')).toBe('412 g');
  expect(formatQuantity(59.68, 'mass')).toBe('59.7 g');
  expect(formatQuantity(12500, 'mass')).toBe('12.5 kg');
  expect(formatQuantity(-1.84, 'temperature')).toBe('−1.8 °C');
  expect(formatQuantity(13381.4, 'money')).toBe('€13\u202f381');
  expect(formatQuantity(38.1, 'length', 'us')).toBe('1 1/2 in');
  expect(formatQuantity(-9.525, 'length', 'us')).toBe('−3/8 in');
  expect(formatQuantity(38, 'length', 'us')).toBe('1.496 in');
  expect(formatQuantity(6, 'pressure', 'us')).toBe('87 psi');
});

test.each([
  [0.5, '30 s'],
  [45, '45 min'],
  [135, '2 h 15 min'],
  [1440, '24 h'],
  [4560, '3 d 4 h'],
  [1460 * 1440, '4 years'],
])('%d minutes read %s', (minutes, text) => {
  expect(formatDuration(minutes)).toBe(text);
});

test('a clock ticks in seconds below an hour and counts up after its end', () => {
  const at = Date.parse('2026-11-24T14:00:00Z');
  expect(countdown(at, at - 972_000).parts).toEqual([{ figure: '16:12', unit: '' }]);
  expect(countdown(at, at - 9_480_000).parts.map((p) => p.figure + p.unit)).toEqual([
    '2h',
    '38min',
  ]);
  expect(countdown(at, at + 61_000)).toMatchObject({ over: true, parts: [{ figure: '−01:01' }] });
});

test('a moment on another day has its weekday', () => {
  const now = Date.parse('2026-11-24T20:00:00Z');
  expect(dayClockText(Date.parse('2026-11-24T22:30:00Z'), now, 'UTC')).toBe('22:30');
  expect(dayClockText(Date.parse('2026-11-25T06:00:00Z'), now, 'UTC')).toBe('06:00 Wed');
  expect(dayClockText(Date.parse('2026-11-24T23:30:00Z'), now, 'Europe/Vienna')).toBe('00:30 Wed');
});

/** What an independent table of units calls ours, and how finely it knows them. */
const ELSEWHERE: [QuantityId, string, string, string, number][] = [
  ['length', 'in', 'in', 'mm', 1e-12],
  ['length', 'ft', 'ft', 'mm', 1e-12],
  ['mass', 'lb', 'lb', 'g', 1e-12],
  ['mass', 'oz', 'oz', 'g', 1e-12],
  ['volume', 'US fl oz', 'fl oz', 'ml', 1e-9],
  ['volume', 'qt', 'qt', 'ml', 1e-9],
  ['volume', 'gal', 'gal', 'ml', 1e-9],
  ['pressure', 'psi', 'psi', 'bar', 1e-6],
  ['pressure', 'kPa', 'kPa', 'bar', 1e-12],
  ['area', 'in²', 'sq in', 'mm2', 1e-12],
  ['temperature', '°F', 'F', 'C', 1e-12],
];

test.each(ELSEWHERE)(
  '%s: %s agrees with an independent table of units',
  (id, symbol, from, to, tol) => {
    const unit = quantity(id).units.find((u) => u.symbol === symbol);
    if (!unit) throw new Error(symbol);
    const theirs = convert(7, from as 'in').to(to as 'mm');
    expect(Math.abs(toBase(7, unit) / theirs - 1)).toBeLessThan(tol);
  },
);

test('round trips in every unit of every quantity', () => {
  const units = QUANTITY_IDS.flatMap((id) => quantity(id).units.map((u) => ({ id, u })));
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      ({ id, u }, x) => {
        expect(fromBase(toBase(x, u), u)).toBeCloseTo(x, 6);
        // What is typed with its unit is read as that unit, whatever the system in use.
        const text = `${x.toFixed(4)} ${u.names[0] ?? ''}`;
        for (const system of ['metric', 'us'] as const) {
          const read = parseQuantity(text, id, { system });
          if (u.names[0] && read.ok)
            expect(fromBase(read.value, u)).toBeCloseTo(Number(x.toFixed(4)), 6);
          else expect(u.names[0] ?? '').toBe('');
        }
      },
    ),
  );
});

test.each([
  [90, '01:30 left'],
  [-90, '−01:30 over'],
  [2 * 3600 + 300, '2 h 05 min left'],
  [3 * 86_400 + 3600, '3 d 1 h left'],
])('a clock with %d s left shows %s', (seconds, said) => {
  expect(countdownText(countdown(seconds * 1000, 0))).toBe(said);
});

test('a displayed value is typed with four digits, however small', () => {
  expect([0.12296, 412.34, 25_634].map((g) => typedFigure(g, 'mass', 'metric'))).toEqual([
    '0.123',
    '412.3',
    '25630',
  ]);
  expect(typedFigure(0.12296, 'mass', 'us')).toBe('0.004337');
  expect(typedFigure(20, 'temperature', 'us')).toBe('68');
});

test('weighed values keep three digits, however small: their ratio is kept', () => {
  const told = [0.0041, 0.12296, 5.0349, 40.25, 322.4].map((g) => formatQuantity(g, 'mass'));
  expect(told).toEqual(['0.0041 g', '0.123 g', '5.03 g', '40.3 g', '322 g']);
  expect(formatQuantity(0.12296, 'mass', 'us')).toBe('0.00434 oz');
  expect(formatQuantity(0, 'mass')).toBe('0 g');
});
