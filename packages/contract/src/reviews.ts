import { DAY, shownIn, type Plan, type Zone } from '@kelmot/core';
import type { Review } from './records';

/** The date so many days after a moment, in a zone. */
const dayAfter = (at: string, zone: Zone, days: number): string =>
  new Date(shownIn(Date.parse(at), zone).getTime() + days * DAY).toISOString().slice(0, 10);

/** Dates of the next looks after acceptance, and of the replacement of a stop-gap. */
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
