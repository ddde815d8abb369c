import { z } from 'zod';
import { MilestoneId } from '../materials/milestones';
import { MessageSchema } from '../message/message';

const SummaryRound = z.strictObject({
  id: z.string(),
  name: MessageSchema,
  cardCode: z.string(),
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  batches: z.array(z.strictObject({ no: z.int(), lifeMin: z.number(), useMin: z.number() })),
  /** The milestone that the service loads; null if another round covers it. */
  needed: MilestoneId.nullable(),
  /** When the next round may follow: minutes after its last mix, and at the latest after its first. */
  next: z.strictObject({ least: z.number(), most: z.number().nullable() }).nullable(),
  /** Its planned place, minutes from the start of the stop. */
  plannedAtMin: z.number(),
});
export type SummaryRound = z.infer<typeof SummaryRound>;

/** The part of a plan that a list needs to draw its strips and say the next action. */
export const PlanSummary = z.strictObject({
  rounds: z.array(SummaryRound),
  mainRound: z.string(),
  needed: MilestoneId,
  /** Minutes that cure steps such as post-cure add to the needed milestone. */
  cureStepsMin: z.number(),
  /** When the stop begins, and when it must be back, epoch ms. */
  startAt: z.number(),
  deadline: z.number(),
});
export type PlanSummary = z.infer<typeof PlanSummary>;
