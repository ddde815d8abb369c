import { Day, Moment, typedLines, typedText } from '../src/calc/typed';

const taken = (schema: { safeParse: (text: string) => { success: boolean } }, text: string) =>
  schema.safeParse(text).success;

test.each([
  ['a name with an accent', 'Zoë Ångström', true],
  ['another script', '泵 二号', true],
  ['a joined sign', '👩‍🔧 on shift', true],
  ['a zero', 'a\u0000b', false],
  ['a bell', 'a\u0007b', false],
  ['a line', 'a\nb', false],
  ['a tab', 'a\tb', false],
  ['a line of its own kind', 'a\u2028b', false],
  ['half a pair', 'a\ud800', false],
  ['the other half', '\udc00b', false],
  ['a turn of the reading direction', 'a\u202egpj', false],
  ['one that is undone', '\u2066a\u2069', false],
])('%s on one line', (_, text, good) => {
  expect(taken(typedText(40), text)).toBe(good);
});

test('lines and tabs are kept where allowed, and no other unreadable characters', () => {
  expect(typedLines(40).parse(' one\n\ttwo ')).toBe('one\n\ttwo');
  for (const odd of ['a\u0000', 'a\u001b[1m', '\ud800', 'a\u202e'])
    expect([odd, taken(typedLines(40), odd)]).toEqual([odd, false]);
});

test('spaces at the ends do not count; the limit is exact', () => {
  expect(taken(typedText(5, 3), '  ab ')).toBe(false);
  expect(typedText(5, 3).parse(' abc ')).toBe('abc');
  expect(taken(typedText(5), 'abcdef')).toBe(false);
});

test.each([
  ['2026-11-26T08:00:00Z', true],
  ['2026-11-26T08:00:00+13:00', true],
  ['2000-01-01T00:00:00Z', true],
  ['1999-12-31T23:59:59Z', false],
  ['2100-01-01T00:00:00Z', false],
  ['9999-12-31T23:59:59Z', false],
  ['2026-02-30T08:00:00Z', false],
  ['2026-11-26', false],
])('%s is a moment: %s', (text, good) => {
  expect(taken(Moment, text)).toBe(good);
});

test('an invalid moment is reported once, one far off by its years', () => {
  const said = (text: string) => Moment.safeParse(text).error?.issues.map((i) => i.message);
  expect(said('yesterday')).toHaveLength(1);
  expect(said('9999-12-31T23:59:59Z')).toEqual(['must lie between the years 2000 and 2100']);
  expect(Day.safeParse('2101-01-01').success).toBe(false);
  expect(Day.parse('2027-02-28')).toBe('2027-02-28');
});
