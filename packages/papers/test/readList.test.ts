import { readList } from '../src/readList';

const mm = (text: string) => readList(text, 'length', 'metric');
const said = (text: string) => {
  const read = mm(text);
  return read.ok ? read.values : read.say;
};

test.each([
  ['one a row', '4.1\n4.2\n3.9'],
  ['under a head', 'Thickness, mm\n4.1\n4.2\n3.9'],
  ['the last column, after numbers and names', 'No,Place,mm\n1,rim,4.1\n2,foot,4.2\n3,rim,3.9'],
  ['commas for points', 'No;Dicke\n1;4,1\n2;4,2\n3;3,9'],
  ['a unit of its own', 'in\n0.16142\n0.16535\n0.15354'],
])('readings are taken from a file: %s', (_, text) => {
  const read = mm(text);
  expect(read.ok && read.values.map((v) => Math.round(v * 100) / 100)).toEqual([4.1, 4.2, 3.9]);
});

test("they are in the reader's unit, and hardness has none", () => {
  const inches = readList('mm\n25.4\n12.7', 'length', 'us');
  expect(inches).toEqual({ ok: true, values: [1, 0.5] });
  expect(readList('Shore D\n81\n82', 'hardness', 'metric')).toEqual({ ok: true, values: [81, 82] });
});

test.each([
  ['', 'This file contains no readings.'],
  ['mm', 'This file contains no readings.'],
  ['mm\n4.1\nthin', 'Row 3: “thin” is not a reading.'],
  ['No,mm\n1,4.1\n2', 'Row 3: “” is not a reading.'],
  [Array(101).fill('4').join('\n'), 'This has 101 readings; 100 is the most at once.'],
])('an invalid file is reported with the reason', (text, expected) => {
  expect(said(text)).toBe(expected);
});
