import { usableMinutes, type Plan } from '../plan/plan';
import { MINUTE } from '../units/clock';
import { stepTime } from '../work/step';
import type { SummaryRound, PlanSummary } from './planSummary';

/** The wait between a round and the next, by the plan’s links. */
function nextWait(plan: Plan, id: string): SummaryRound['next'] {
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

export function planSummaryOf(plan: Plan): PlanSummary {
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
