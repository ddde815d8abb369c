import { MINUTE } from './clock';

/** A time zone by its IANA name, such as "Europe/Paris" or "UTC", with its summer time. */
export type Zone = string;

/** Whether this machine knows a zone. */
export function isZone(name: string): boolean {
  try {
    formatOf(name);
    return true;
  } catch {
    return false;
  }
}

const formats = new Map<Zone, Intl.DateTimeFormat>();

/** Making a format costs a thousand times its use. Throws RangeError for an unknown zone. */
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

/** Clocks change at a quarter of an hour, never within one. */
const QUARTER = 15 * MINUTE;
const MOST_KEPT = 4000;
const offsets = new Map<string, number>();

/** How far a zone's clocks are ahead of UTC at a moment (epoch ms), minutes: correct on both sides of a change. */
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

/** A moment as a date whose UTC parts are the local time of a zone. */
export const shownIn = (at: number, zone: Zone): Date =>
  new Date(at + offsetMin(at, zone) * MINUTE);

/** The local date of a zone at a moment (epoch ms), as YYYY-MM-DD. */
export const dayIn = (at: number, zone: Zone): string =>
  shownIn(at, zone).toISOString().slice(0, 10);

/** The moment of a zone's local time, given as if it were UTC, epoch ms. A skipped time is the hour after. */
export function momentOf(shown: number, zone: Zone): number {
  const guess = shown - offsetMin(shown, zone) * MINUTE;
  return shown - offsetMin(guess, zone) * MINUTE;
}

/** The minute of the local day of a zone, 0 to 1440. */
export function minuteOfDay(at: number, zone: Zone): number {
  const date = shownIn(at, zone);
  return date.getUTCHours() * 60 + date.getUTCMinutes() + date.getUTCSeconds() / 60;
}
