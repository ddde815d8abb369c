import { m, minutes, type Message } from './message';

const HOUR = 60;
const DAY = 24 * HOUR;
/** A value whose distance from a whole number is at most this is shown as that number. */
const NEAR = 0.08;

/** A number of units in rough words: "almost 2 days", "2 days", "over 2 days". */
function counted(value: number, unit: 'hours' | 'days'): Message {
  const n = Math.round(value);
  const off = value - n;
  const near = off < -NEAR ? 'almost' : off > NEAR ? 'over' : 'exactly';
  return m('{near, select, almost {almost } over {over } other {}}{n} {unit}', { near, n, unit });
}

/**
 * A duration in minutes as a person says it, for time to spare: nobody acts on the minutes of two days. Up to two hours
 * it is told to the minute, up to a day and a half in hours, then in days.
 */
export function roughDuration(duration: number): Message {
  if (duration < 2 * HOUR) return m('{duration}', { duration: minutes(duration) });
  return duration < 1.5 * DAY ? counted(duration / HOUR, 'hours') : counted(duration / DAY, 'days');
}
