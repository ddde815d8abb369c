import { formatDuration } from './format';

const HOUR = 60;
const DAY = 24 * HOUR;
/** A value this near to a whole number is told as that number. */
const NEAR = 0.08;

/** A count as a person says it: "almost 2 days", "2 days", "over 2 days". */
function counted(value: number, unit: string): string {
  const whole = Math.round(value);
  const off = value - whole;
  const word = off < -NEAR ? 'almost ' : off > NEAR ? 'over ' : '';
  return `${word}${whole} ${unit}${whole === 1 ? '' : 's'}`;
}

/**
 * A duration in minutes as a person says it, for time to spare: nobody acts on the minutes of two days.
 * Under two hours to the minute; up to a day and a half in hours; then in days.
 */
export function roughDuration(minutes: number): string {
  if (minutes < 2 * HOUR) return formatDuration(minutes);
  return minutes < 1.5 * DAY ? counted(minutes / HOUR, 'hour') : counted(minutes / DAY, 'day');
}
