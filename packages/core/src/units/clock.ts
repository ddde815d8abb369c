/** Milliseconds in a minute and in a day: what a clock counts in, where a plan counts in minutes. */
export const MINUTE = 60_000;
export const DAY = 1440 * MINUTE;
