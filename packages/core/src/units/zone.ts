import { MINUTE } from './clock';

/** A time zone by its name in the IANA list, such as "Europe/Paris" or "UTC": its rules for summer time with it. */
export type Zone = string;

/** Whether this machine knows a zone by its name. */
export function isZone(name: string): boolean {
  try {
    formatOf(name);
    return true;
  } catch {
    return false;
  }
}

const formats = new Map<Zone, Intl.DateTimeFormat>();

/** Making a format costs a thousand times what using it does. Throws RangeError for a name that is no zone. */
function formatOf(zone: Zone): Intl.DateTimeFormat {
  const known = formats.get(zone);
  if (known) return known;
  const two = '2-digit';
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: two,
    day: two,
    hour: two,
    minute: two,
    second: two,
  });
  formats.set(zone, format);
  return format;
}

/** Clocks are changed on a quarter of an hour and never within one. */
const QUARTER = 15 * MINUTE;
const MOST_KEPT = 4000;
const offsets = new Map<string, number>();

/** How far the clocks of a zone are ahead of UTC at a moment (epoch ms), minutes: right on either side of a change. */
export function offsetMin(at: number, zone: Zone): number {
  const quarter = Math.floor(at / QUARTER);
  const key = `${zone} ${quarter}`;
  const known = offsets.get(key);
  if (known !== undefined) return known;
  const from = quarter * QUARTER;
  const part = Object.fromEntries(
    formatOf(zone)
      .formatToParts(from)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0 } = part;
  const minutes = (Date.UTC(year, month - 1, day, hour, minute) - from) / MINUTE;
  if (offsets.size >= MOST_KEPT) offsets.clear();
  offsets.set(key, minutes);
  return minutes;
}

/** A moment as a date whose UTC parts are what the clocks and calendars of a zone show. */
export const shownIn = (at: number, zone: Zone): Date =>
  new Date(at + offsetMin(at, zone) * MINUTE);

/** The day that the calendars of a zone show at a moment (epoch ms), as YYYY-MM-DD. */
export const dayIn = (at: number, zone: Zone): string =>
  shownIn(at, zone).toISOString().slice(0, 10);

/** The moment at which the clocks of a zone show a time, given as if it were UTC, epoch ms. One that is skipped is the hour after. */
export function momentOf(shown: number, zone: Zone): number {
  const guess = shown - offsetMin(shown, zone) * MINUTE;
  return shown - offsetMin(guess, zone) * MINUTE;
}

/** The minute of the day that the clocks of a zone show, 0 to 1440. */
export function minuteOfDay(at: number, zone: Zone): number {
  const date = shownIn(at, zone);
  return date.getUTCHours() * 60 + date.getUTCMinutes() + date.getUTCSeconds() / 60;
}
