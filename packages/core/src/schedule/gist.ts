import { z } from 'zod';
import { MilestoneId } from '../materials/card';
import type { Plan } from '../plan/plan';
import { delays, stepTime } from '../plan/timeline';

const MINUTE = 60_000;

/** As much of a plan as a list needs to draw its cure strip and say the next act. */
export const PlanGist = z.strictObject({
  milestones: z.array(z.strictObject({ id: MilestoneId, minutes: z.number() })),
  batches: z.array(
    z.strictObject({ no: z.int(), coat: z.int(), lifeMin: z.number(), placeByMin: z.number() }),
  ),
  needed: MilestoneId,
  /** Minutes that steps of the cure add to the needed milestone, such as a post-cure. */
  cureStepsMin: z.number(),
  /** When it must be back, epoch ms. */
  deadline: z.number(),
});
export type PlanGist = z.infer<typeof PlanGist>;

export function gistOf(plan: Plan): PlanGist {
  const { startAt, downMin } = plan.survey.window;
  return {
    milestones: plan.milestones,
    batches: plan.batches.map(({ no, coat, lifeMin, placeByMin }) => ({
      no,
      coat,
      lifeMin,
      placeByMin,
    })),
    needed: plan.needed,
    cureStepsMin: plan.steps
      .filter((s) => s.station === 'cure' && delays(s, plan.needed))
      .reduce((sum, s) => sum + stepTime(s), 0),
    deadline: Date.parse(startAt) + downMin * MINUTE,
  };
}
