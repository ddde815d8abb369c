import { typedText } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';

/** What a page reports while it has a repair open: its id, and the step that it shows. */
export const LiveQuery = z.object({
  tab: Id,
  step: typedText(120).optional(),
});

/** A person who has a repair open. */
export const Present = z.object({
  /** The page, because one person may have two. */
  tab: Id,
  id: z.string(),
  name: z.string(),
  /** The step that it shows; null: none in particular. */
  stepId: z.string().nullable(),
});
export type Present = z.infer<typeof Present>;

/** The state of a repair, sent to every page that has it open, at each change. */
export const LiveState = z.object({
  /** Changes with every change of the repair and its records. */
  mark: z.string(),
  updatedAt: Instant,
  people: z.array(Present),
});
export type LiveState = z.infer<typeof LiveState>;

/** Initials of a name, two at most: "Ida Lund" is IL. */
export function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/u);
  const ends = words.length > 1 ? [words[0], words.at(-1)] : [words[0]];
  return ends
    .map((word) => [...(word ?? '')][0] ?? '')
    .join('')
    .toUpperCase();
}
