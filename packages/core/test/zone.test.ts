import fc from 'fast-check';
import {
  axisOf,
  clockText,
  dateText,
  dayClockText,
  isZone,
  momentOf,
  offsetMin,
  shownIn,
} from '../src/index';
import { HOUR } from '../src/units/clock';
import { dayIn, minuteOfDay } from '../src/units/zone';

const at = (text: string) => Date.parse(text);
const VIENNA = 'Europe/Vienna';

test.each([
  // Put on at 01:00 UTC on the last Sunday of March, back on the last of October.
  ['2026-03-29T00:59:00Z', VIENNA, 60, '01:59'],
  ['2026-03-29T01:00:00Z', VIENNA, 120, '03:00'],
  ['2026-10-25T00:59:00Z', VIENNA, 120, '02:59'],
  ['2026-10-25T01:00:00Z', VIENNA, 60, '02:00'],
  ['2026-07-01T12:00:00Z', 'UTC', 0, '12:00'],
  ['2026-07-01T12:00:00Z', 'Asia/Kathmandu', 345, '17:45'],
  ['2026-07-01T12:00:00Z', 'America/St_Johns', -150, '09:30'],
])('%s in %s is %i minutes from UTC, %s', (moment, zone, minutes, clock) => {
  expect(offsetMin(at(moment), zone)).toBe(minutes);
  expect(clockText(at(moment), zone)).toBe(clock);
});

test('a day is the local calendar day', () => {
  const late = at('2026-12-31T23:30:00Z');
  expect(dateText(late, VIENNA)).toBe('1 Jan 2027');
  expect(dateText(late, 'America/New_York')).toBe('31 Dec 2026');
  expect(dayClockText(late, late - HOUR, VIENNA)).toBe('00:30 Fri');
  expect(dayClockText(late, late - HOUR, 'UTC')).toBe('23:30');
  expect(minuteOfDay(late, VIENNA)).toBe(30);
});

test('a name is a zone or not', () => {
  expect(['UTC', VIENNA, 'America/New_York'].every(isZone)).toBe(true);
  expect(['', 'Vienna', 'Europe/Nowhere', '+25:00'].some(isZone)).toBe(false);
});

test('a local time is found again at any moment; a skipped one is the hour after', () => {
  const moments = fc.integer({ min: at('2020-01-01'), max: at('2040-01-01') });
  const zones = fc.constantFrom('UTC', VIENNA, 'America/New_York', 'Australia/Adelaide');
  fc.assert(
    fc.property(moments, zones, (moment, zone) => {
      const again = momentOf(shownIn(moment, zone).getTime(), zone);
      // In the hour that comes twice the clock does not say which of the two it is.
      expect([0, HOUR, -HOUR]).toContain(again - moment);
      expect(shownIn(again, zone).getTime()).toBe(shownIn(moment, zone).getTime());
    }),
    { numRuns: 500 },
  );
  const skipped = at('2026-03-29T02:30:00Z');
  expect(clockText(momentOf(skipped, VIENNA), VIENNA)).toBe('03:30');
});

test('an axis across a clock change has ticks at whole hours before and after, in order', () => {
  const from = at('2026-03-28T20:00:00Z');
  const to = at('2026-03-29T10:00:00Z');
  const { ticks } = axisOf({ from, nearTo: to, to, width: 360, nearShare: 1, zone: VIENNA });
  const labels = ticks.flatMap((t) => (t.label ? [t.label] : []));
  expect(labels).toContain('00 h');
  expect(labels).toContain('12 h');
  for (const t of ticks.filter((x) => x.label)) expect(minuteOfDay(t.at, VIENNA) % 60).toBe(0);
  for (const [i, t] of ticks.entries())
    if (i > 0) expect(t.at).toBeGreaterThan(ticks[i - 1]?.at ?? 0);
});

test('a day is that of its zone, on both sides of midnight', () => {
  const late = Date.parse('2026-11-24T23:30:00Z');
  expect([dayIn(late, 'UTC'), dayIn(late, 'Europe/Vienna')]).toEqual(['2026-11-24', '2026-11-25']);
  expect(dayIn(late, 'America/New_York')).toBe('2026-11-24');
});
