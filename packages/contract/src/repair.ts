import { MessageSchema, Plan, Survey } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant } from './ids';
import { Check, Mix, Reading, Review, Signoff } from './records';
import { head } from './row';

/** Marks of story lines that need attention. */
export const STORY_MARKS = ['failed', 'late', 'override', 'unverified', 'undone'] as const;
export type StoryMark = (typeof STORY_MARKS)[number];

/** One event of a repair, as its record tells it. */
export const StoryLine = z.object({
  id: z.string(),
  /** Its time, by the device that recorded it. */
  at: Instant,
  title: MessageSchema,
  /** The finding or note, with the figure; null if there is nothing to say. */
  say: MessageSchema.nullable(),
  /** Its limit; null if nothing is measured. */
  limit: MessageSchema.nullable(),
  mark: z.enum(STORY_MARKS).nullable(),
  by: z.string(),
  /** The number of its earlier plan; null: the present one. */
  plan: z.int().nullable(),
});
export type StoryLine = z.infer<typeof StoryLine>;

/**
 * The last plan, which a changed survey cancelled, with its records: the next plan takes over those that stay valid.
 */
export const LastPlan = z.object({
  id: Id,
  number: z.int(),
  body: Plan,
  readings: z.array(Reading),
  checks: z.array(Check),
});
export type LastPlan = z.infer<typeof LastPlan>;

/** A whole repair: survey, plan with its working, and all records. */
export const RepairView = z.object({
  ...head,
  assetId: Id.nullable(),
  survey: Survey,
  plan: z.object({ id: Id, number: z.int(), body: Plan }).nullable(),
  readings: z.array(Reading),
  mixes: z.array(Mix),
  checks: z.array(Check),
  /** Records of earlier plans, plan by plan. */
  earlier: z.array(StoryLine),
  /** While there is no plan: the last one, if no batch was mixed on it. */
  last: LastPlan.nullable().default(null),
  signoffs: z.array(Signoff),
  reviews: z.array(Review),
});
export type RepairView = z.infer<typeof RepairView>;
