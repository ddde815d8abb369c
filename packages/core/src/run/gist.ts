import { z } from 'zod';
import { MilestoneId } from '../materials/card';
import { MINUTE } from '../units/clock';
import { MessageSchema } from '../message/message';
import { usableMinutes, type Plan } from '../plan/plan';
import { stepTime } from '../work/step';

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

/** The wait between a round and the one after it, as the plan’s links say it. */
function nextWait(plan: Plan, id: string): GistRound['next'] {
  const waits = plan.links.filter((l) => 'round' in l.from && l.from.round === id);
  const toOther = waits.filter((l) => {
    const step = plan.steps.find((s) => s.id === l.to);
    return step !== undefined && step.station !== 'accept' && step.does !== 'finish';
  });
  if (toOther.length === 0) return null;
  const most = toOther.flatMap((l) => l.most ?? []);
  return {
    least: Math.max(...toOther.map((l) => l.least)),
    most: most.length > 0 ? Math.min(...most) : null,
  };
}

export function gistOf(plan: Plan): PlanGist {
  const { startAt, downMin } = plan.survey.window;
  const start = Date.parse(startAt);
  return {
    rounds: plan.rounds
      .filter((r) => r.batches.length > 0)
      .map((r) => ({
        id: r.id,
        name: r.name,
        cardCode: r.card.code,
        milestones: r.milestones,
        batches: r.batches.map((b) => ({ no: b.no, lifeMin: b.lifeMin, useMin: usableMinutes(b) })),
        needed: r.needed,
        next: nextWait(plan, r.id),
        plannedAtMin: Math.min(...r.batches.map((b) => b.mixedAtMin)),
      })),
    mainRound: plan.mainRound,
    needed: plan.needed,
    cureStepsMin: plan.steps
      .filter((s) => s.does === 'heat' && s.station === 'cure')
      .reduce((s, x) => s + stepTime(x), 0),
    startAt: start,
    deadline: start + downMin * MINUTE,
  };
}
