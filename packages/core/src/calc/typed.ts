import { z } from 'zod';

/** Control characters, halves of a pair, and marks that turn the reading direction: nothing a person means to type. */
const UNREADABLE = /[\p{Cc}\p{Cs}\u2028-\u202e\u2066-\u2069]/u;
const UNREADABLE_IN_LINES = /[^\P{Cc}\n\t]|[\p{Cs}\u202a-\u202e\u2066-\u2069]/u;

const SAY = 'holds a character that cannot be read; type it again by hand';

/** Text that a person types, on one line: so many characters at most, of any script, none of them unreadable. */
export const typedText = (most: number, least = 0) =>
  z
    .string()
    .trim()
    .min(least)
    .max(most)
    .refine((text) => !UNREADABLE.test(text), SAY);

/** The same where lines and tabs are allowed. */
export const typedLines = (most: number, least = 0) =>
  z
    .string()
    .trim()
    .min(least)
    .max(most)
    .refine((text) => !UNREADABLE_IN_LINES.test(text), SAY);

const FROM = Date.UTC(2000, 0, 1);
const TO = Date.UTC(2100, 0, 1);
/** What is no moment at all is said by its form already. */
const inTime = (text: string): boolean => {
  const ms = Date.parse(text);
  return Number.isNaN(ms) || (ms >= FROM && ms < TO);
};
const WHEN = 'must lie between the years 2000 and 2100';

/** A moment with its offset, in the years that a plant can mean. */
export const Moment = z.iso.datetime({ offset: true }).refine(inTime, WHEN);
/** A day, in the same years. */
export const Day = z.iso.date().refine(inTime, WHEN);
