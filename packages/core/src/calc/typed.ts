import { t } from '../text/text';
import { z } from 'zod';

/**
 * Control characters, half surrogate pairs, and marks that change the reading direction: nothing that a person means to
 * type.
 */
const UNREADABLE = /[\p{Cc}\p{Cs}\u2028-\u202e\u2066-\u2069]/u;
const UNREADABLE_IN_LINES = /[^\P{Cc}\n\t]|[\p{Cs}\u202a-\u202e\u2066-\u2069]/u;

const SAY = t('contains an unreadable character; type it again by hand');

/** A typed text on one line: limited length, any script, no unreadable characters. */
export const typedText = (most: number, least = 0) =>
  z
    .string()
    .trim()
    .min(least)
    .max(most)
    .refine((text) => !UNREADABLE.test(text), SAY);

/** The same with line breaks and tabs. */
export const typedLines = (most: number, least = 0) =>
  z
    .string()
    .trim()
    .min(least)
    .max(most)
    .refine((text) => !UNREADABLE_IN_LINES.test(text), SAY);

const FROM = Date.UTC(2000, 0, 1);
const TO = Date.UTC(2100, 0, 1);
/** A malformed date is reported by its own rule. */
const inTime = (text: string): boolean => {
  const ms = Date.parse(text);
  return Number.isNaN(ms) || (ms >= FROM && ms < TO);
};
const WHEN = t('must lie between the years 2000 and 2100');

/** A moment with its UTC offset, in plausible years. */
export const Moment = z.iso.datetime({ offset: true }).refine(inTime, WHEN);
/** A day, in the same years. */
export const Day = z.iso.date().refine(inTime, WHEN);
