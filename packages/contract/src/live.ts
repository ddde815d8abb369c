import { typedText } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';

/** What a page says of itself while it has a repair open: which page it is, and the step that is looked at there. */
export const LiveQuery = z.object({
  tab: Id,
  step: typedText(120).optional(),
});

/** Somebody who has a repair open. */
export const Present = z.object({
  /** The page, since one person may have two. */
  tab: Id,
  id: z.string(),
  name: z.string(),
  /** The step that is looked at; null: none in particular. */
  stepId: z.string().nullable(),
});
export type Present = z.infer<typeof Present>;

/** How a repair stands at a moment: told to every page that has it open, each time that it is another. */
export const LiveState = z.object({
  /** Another with every change of the repair and of what is recorded on it. */
  mark: z.string(),
  updatedAt: Instant,
  people: z.array(Present),
});
export type LiveState = z.infer<typeof LiveState>;

/** The first letters of a name, two at most: "Ida Lund" is IL. */
export function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/u);
  const ends = words.length > 1 ? [words[0], words.at(-1)] : [words[0]];
  return ends
    .map((word) => [...(word ?? '')][0] ?? '')
    .join('')
    .toUpperCase();
}
