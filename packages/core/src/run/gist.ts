import { z } from 'zod';
import { MilestoneId } from '../materials/milestones';
import { MessageSchema } from '../message/message';

const GistRound = z.strictObject({
  id: z.string(),
  name: MessageSchema,
  cardCode: z.string(),
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  batches: z.array(z.strictObject({ no: z.int(), lifeMin: z.number(), useMin: z.number() })),
  /** The moment that the service loads; null where another round covers it. */
  needed: MilestoneId.nullable(),
  /** When the next round may follow it, minutes after its last mix, and after its first at the latest. */
  next: z.strictObject({ least: z.number(), most: z.number().nullable() }).nullable(),
  /** Where it stands on the clock of the plan, minutes from the start of the stop. */
  plannedAtMin: z.number(),
});
export type GistRound = z.infer<typeof GistRound>;

/** As much of a plan as a list needs to draw its strips, one a round, and say the next act. */
export const PlanGist = z.strictObject({
  rounds: z.array(GistRound),
  mainRound: z.string(),
  needed: MilestoneId,
  /** Minutes that steps of the cure add to the needed milestone, such as a post-cure. */
  cureStepsMin: z.number(),
  /** When the stop begins, and when it must be back, epoch ms. */
  startAt: z.number(),
  deadline: z.number(),
});
export type PlanGist = z.infer<typeof PlanGist>;
