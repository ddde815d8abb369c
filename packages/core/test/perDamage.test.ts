import { mm, m } from '../src/message/message';
import { word } from '../src/message/word';
import { perDamage } from '../src/methods/perDamage';
import { sentences, saidOf } from '../src/message/sentences';
import { letterOf } from '../src/survey/letter';

const shown = (values: Parameters<typeof perDamage>[0], units: 'metric' | 'us' = 'metric') =>
  word(m('{value}', { value: perDamage(values) }), units);

test('a value that all damages share stands once', () => {
  expect(shown([mm(12), mm(12), mm(12)])).toBe('12 mm');
});

test('values that differ stand by the letters of their damages', () => {
  expect(shown([mm(12), mm(7), mm(12)])).toBe('A and C: 12 mm; B: 7 mm');
  expect(shown([mm(12), mm(7), mm(12), mm(12)])).toBe('A, C and D: 12 mm; B: 7 mm');
});

test('rounding noise makes no second value', () => {
  expect(shown([mm(0.1 + 0.2), mm(0.3)])).toBe('0.3 mm');
});

test('a damage without the value is left out, and the others have their letters', () => {
  expect(shown([null, mm(7)])).toBe('B: 7 mm');
  expect(shown([])).toBe('');
});

test('values follow the units of the reader', () => {
  expect(shown([mm(25.4), mm(50.8)], 'us')).toBe('A: 1 in; B: 2 in');
});

test('letters go on after Z', () => {
  expect([0, 25, 26, 27, 52].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AB', 'BA']);
});

test('each line of a text is a sentence with the values that it names', () => {
  const made = sentences(
    `
      Cut {deep} deep.
      Brush it clean.
    `,
    { deep: mm(3) },
  );
  expect(made.map((s) => word(s))).toEqual(['Cut 3 mm deep.', 'Brush it clean.']);
  expect(made.map((s) => Object.keys(s.values))).toEqual([['deep'], []]);
});

test('absent parts say nothing', () => {
  expect(
    saidOf([null, false, undefined, sentences(`Stop.`), [m('Wait.')]]).map((s) => word(s)),
  ).toEqual(['Stop.', 'Wait.']);
});
