/** Milliseconds in a minute, an hour and a day, for clocks; plans count in minutes. */
export const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;
