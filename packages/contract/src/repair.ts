import { MessageSchema, Plan, Survey } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';
import { Check, Mix, Reading, Review, Signoff } from './records';
import { head } from './row';

/** What is said of a line of the record beside what it says: it needs an eye. */
export const STORY_MARKS = ['failed', 'late', 'override', 'unverified', 'undone'] as const;
export type StoryMark = (typeof STORY_MARKS)[number];

/** One thing that happened on a repair, as its record tells it. */
export const StoryLine = z.object({
  id: z.string(),
  /** When, by the device that recorded it. */
  at: Instant,
  title: MessageSchema,
  /** What was found or written, with the number; null where there is nothing to say. */
  say: MessageSchema.nullable(),
  /** What it is held against; null where nothing is measured. */
  limit: MessageSchema.nullable(),
  mark: z.enum(STORY_MARKS).nullable(),
  by: z.string(),
  /** The number of the earlier plan that it belongs to; null: the present one. */
  plan: z.int().nullable(),
});
export type StoryLine = z.infer<typeof StoryLine>;

/** A plan that a new survey took back, with what was recorded on it: what of that stands in the next plan is kept there. */
export const LastPlan = z.object({
  id: Id,
  number: z.int(),
  body: Plan,
  readings: z.array(Reading),
  checks: z.array(Check),
});
export type LastPlan = z.infer<typeof LastPlan>;

/** A repair whole: survey, plan with its working, and everything recorded against it. */
export const RepairView = z.object({
  ...head,
  assetId: Id.nullable(),
  survey: Survey,
  plan: z.object({ id: Id, number: z.int(), body: Plan }).nullable(),
  readings: z.array(Reading),
  mixes: z.array(Mix),
  checks: z.array(Check),
  /** What was recorded on earlier plans, plan by plan. */
  earlier: z.array(StoryLine),
  /** While there is no plan: the one before, where nothing was mixed on it. */
  last: LastPlan.nullable().default(null),
  signoffs: z.array(Signoff),
  reviews: z.array(Review),
});
export type RepairView = z.infer<typeof RepairView>;
