import { countdown, dayClockText } from '../src/schedule/clock';
import { formatDuration, say } from '../src/units/format';
import { parseQuantity } from '../src/units/parse';
import type { QuantityId } from '../src/units/quantities';

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
])('%s is read as %s %d', (text, quantity, value) => {
  const parsed = parseQuantity(text, quantity, 'metric');
  expect(parsed).toEqual({ ok: true, value: expect.closeTo(value, 6) });
});

test('a bare number is in the unit of the system in use', () => {
  expect(parseQuantity('2', 'length', 'us')).toEqual({ ok: true, value: 50.8 });
});

test.each([
  ['', 'length', /Type a number in mm/],
  ['twelve', 'length', /not a number/],
  ['12 kg', 'length', /“kg” is not a unit here. Use mm, cm, m, in, ft/],
  ['12 mm 3', 'length', /not a number/],
  ['3/0', 'length', /not a number/],
  ['5 h 20 h', 'time', /not a number/],
] as const)('%j is refused with the way to write it', (text, quantity, words) => {
  const parsed = parseQuantity(text, quantity, 'metric');
  expect(parsed).toEqual({ ok: false, message: expect.stringMatching(words) });
});

test('figures are rounded to what can be measured', () => {
  expect(say(412.34, 'mass')).toBe('412 g');
  expect(say(59.68, 'mass')).toBe('59.7 g');
  expect(say(12500, 'mass')).toBe('12.5 kg');
  expect(say(-1.84, 'temperature')).toBe('−1.8 °C');
  expect(say(13381.4, 'money')).toBe('€13\u202f381');
  expect(say(38.1, 'length', 'us')).toBe('1.5 in');
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

test('a clock ticks in seconds under an hour and counts on when it is over', () => {
  const at = Date.parse('2026-11-24T14:00:00Z');
  expect(countdown(at, at - 972_000).parts).toEqual([{ figure: '16:12', unit: '' }]);
  expect(countdown(at, at - 9_480_000).parts.map((p) => p.figure + p.unit)).toEqual([
    '2h',
    '38min',
  ]);
  expect(countdown(at, at + 61_000)).toMatchObject({ over: true, parts: [{ figure: '−01:01' }] });
});

test('a moment on another day carries its weekday', () => {
  const now = Date.parse('2026-11-24T20:00:00Z');
  expect(dayClockText(Date.parse('2026-11-24T22:30:00Z'), now, 0)).toBe('22:30');
  expect(dayClockText(Date.parse('2026-11-25T06:00:00Z'), now, 0)).toBe('06:00 Wed');
  expect(dayClockText(Date.parse('2026-11-24T23:30:00Z'), now, 60)).toBe('00:30 Wed');
});
