import { MINUTE } from '@kelmot/core';
import { readLog, type LogAsk } from '../src/readLog';

/** Mixed at 09:00 in Vienna, in the summer. */
const mixedAt = Date.parse('2026-07-14T07:00:00Z');
const ask: LogAsk = {
  zone: 'Europe/Vienna',
  units: 'metric',
  mixedAt,
  now: mixedAt + 30 * 60 * MINUTE,
};
/** Minutes from the mix, and what was read. */
function read(text: string, more: Partial<LogAsk> = {}): [number, number, number?][] {
  const found = readLog(text, { ...ask, ...more });
  if (!found.ok) throw new Error(found.say);
  const { values } = found;
  if (values.kind !== 'temperatures') throw new Error(values.kind);
  const from = (Date.parse(values.from) - mixedAt) / MINUTE;
  return values.rows.map(({ atMin, tempC, otherC }) =>
    otherC === undefined ? [from + atMin, tempC] : [from + atMin, tempC, otherC],
  );
}
const said = (text: string, more: Partial<LogAsk> = {}): string => {
  const found = readLog(text, { ...ask, ...more });
  return found.ok ? 'read' : found.say;
};
const TWO: [number, number][] = [
  [5, 18.5],
  [65, 12.5],
];

test.each([
  ['a zone of its own', '2026-07-14T07:05:00Z,18.5\n2026-07-14T10:05:00+02:00,12.5'],
  ['the clocks of the site', '2026-07-14 09:05,18.5\n2026-07-14 10:05:00,12.5'],
  ['day first, points for commas', '14.07.2026 09:05;18,5\r\n14.07.2026 10:05;12,5\r\n'],
  ['clocks alone', '9:05,18.5\n10:05,12.5'],
  ['minutes from the mix', '5\t18.5\n65\t12.5'],
  ['a head, its spot named', 'Time,Temp °C\n09:05,18.5\n10:05,12.5'],
  ['blank lines', '\n09:05,18.5\n\n10:05,12.5\n\n'],
])('times are read: %s', (_, text) => {
  expect(read(text)).toEqual(TWO);
});

test('a heading names the unit; without one it is the reader’s', () => {
  expect(read('min,°F\n0,68\n60,50')).toEqual([
    [0, expect.closeTo(20, 6)],
    [60, expect.closeTo(10, 6)],
  ]);
  expect(read('0,68', { units: 'us' })).toEqual([[0, expect.closeTo(20, 6)]]);
  expect(read('min,°C\n0,20', { units: 'us' })).toEqual([[0, 20]]);
});

test('clock times run past midnight, and a clock change adds or removes no hour', () => {
  expect(read('23:30,20\n00:30,10\n08:30,20').map(([at]) => at)).toEqual([870, 930, 1410]);
  const autumn = Date.parse('2026-10-25T00:00:00Z');
  const found = readLog('2026-10-25 01:30,20\n2026-10-25 03:30,10', {
    ...ask,
    mixedAt: autumn - 60 * MINUTE,
    now: autumn + 600 * MINUTE,
  });
  expect(found.ok && found.values.kind === 'temperatures' && found.values.rows[1]?.atMin).toBe(180);
});

test('two spots are both kept; redundant and much earlier rows are not', () => {
  expect(read('0,20,18\n10,20,18\n20,20,18\n30,20,12')).toEqual([
    [0, 20, 18],
    [20, 20, 18],
    [30, 20, 12],
  ]);
  expect(read('-300,5\n-121,5\n-120,6\n0,20\n60,20').map(([at]) => at)).toEqual([-120, 0, 60]);
});

test.each([
  ['', 'This file contains no rows.'],
  ['time,temp', 'This file contains no rows.'],
  [
    '0,20\nlater,20',
    'Row 2: “later” is not a time; write 2026-11-24 14:05, 14:05, or minutes since mixing.',
  ],
  ['2026-13-01 10:00,20', /^Row 1: “2026-13-01 10:00” is not a time/],
  ['2026-02-30 10:00,20', /^Row 1: “2026-02-30 10:00” is not a time/],
  ['25:00,20', /^Row 1: “25:00” is not a time/],
  ['0,20\n5,warm', 'Row 2: “warm” is not a temperature; write degrees such as 17.5.'],
  ['0,20\n5', 'Row 2: “” is not a temperature; write degrees such as 17.5.'],
  ['0,500', 'Row 1: must be -60 to 250 °C; is it in another unit?'],
  ['0,20\n5,21\n5,22', 'Row 3 must be later than the row before.'],
  ['0,20\n5,21,22', 'Row 2 has 2 temperatures; the rows before it have 1.'],
  ['0,20\n1801,20', 'Row 2 is later than now: check the logger’s clock and time zone.'],
  ['-500,20\n-400,20', 'All readings are from before mixing at 09:00.'],
])('%j reports its error', (text, expected) => {
  if (typeof expected === 'string') expect(said(text)).toBe(expected);
  else expect(said(text)).toMatch(expected);
});

test('a log of a week is read at once, and reduced to its essential rows', () => {
  const rows = Array.from(
    { length: 10_080 },
    (_, i) => `${i},${(15 + 5 * Math.sin(i / 229)).toFixed(2)}`,
  );
  const found = readLog(rows.join('\n'), { ...ask, now: mixedAt + 20_000 * MINUTE });
  expect(found.ok && found.rows).toBe(10_080);
  const kept = found.ok && found.values.kind === 'temperatures' ? found.values.rows.length : 0;
  expect(kept).toBeGreaterThan(20);
  expect(kept).toBeLessThan(400);
  expect(said(Array(50_001).fill('0,1').join('\n'))).toMatch(/^This has 50001 rows/);
});
