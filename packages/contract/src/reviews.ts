import { DAY, shownIn, type Plan, type Zone } from '@kelmot/core';
import type { Review } from './records';

/** The day so many days after a moment, by the calendar of a zone. */
const dayAfter = (at: string, zone: Zone, days: number): string =>
  new Date(shownIn(Date.parse(at), zone).getTime() + days * DAY).toISOString().slice(0, 10);

/** When a repair that was accepted at a moment is to be looked at again, and a stop-gap to be replaced. */
export const nextLooks = (
  { nextLookDays, replaceInDays }: Pick<Plan, 'nextLookDays' | 'replaceInDays'>,
  at: string,
  zone: Zone,
): Pick<Review, 'kind' | 'dueOn'>[] => [
  { kind: 'look', dueOn: dayAfter(at, zone, nextLookDays) },
  ...(replaceInDays === null
    ? []
    : [{ kind: 'replace' as const, dueOn: dayAfter(at, zone, replaceInDays) }]),
];
