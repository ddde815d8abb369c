import { planBatches, type Plan, type PlanBatch } from '../plan/plan';
import { stepTime, type Slot, type Step } from '../work/step';

/** One task: a step, or a step with one batch of its round. */
export interface Task {
  /** Its id in this plan: the step, and the number of its batch. */
  id: string;
  step: Step;
  batch: PlanBatch | null;
  /** The last task with its batch: after it the batch is used up. */
  empties: boolean;
  /** Minutes from the start of the stop. */
  fromMin: number;
  toMin: number;
}

/** Consecutive steps that are repeated for each batch of one round. */
function inRow(steps: readonly Step[], at: number): Step[] {
  const first = steps[at];
  if (!first?.eachBatch) return first ? [first] : [];
  const end = steps.findIndex((s, i) => i > at && !(s.eachBatch && s.round === first.round));
  return steps.slice(at, end < 0 ? undefined : end);
}

/**
 * All tasks of a job in working order: each batch is mixed and placed before the next is mixed. Nothing is left out: a
 * step without its own time is at the end of the one before.
 */
export function tasksOf(plan: Pick<Plan, 'steps' | 'rounds' | 'schedule'>): Task[] {
  const { steps, schedule } = plan;
  const batches = planBatches(plan);
  const tasks: Task[] = [];
  const add = (step: Step, batch: PlanBatch | null, empties: boolean) => {
    const before = tasks.at(-1)?.toMin ?? 0;
    const is = (s: Slot) => s.step === step.id && s.batch === (batch?.no ?? null);
    const slots = schedule.filter(is);
    const fromMin = slots.length > 0 ? Math.min(...slots.map((s) => s.from)) : before;
    const toMin =
      slots.length > 0
        ? Math.max(...slots.map((s) => s.to))
        : before + (batch ? 0 : stepTime(step));
    const id = batch ? `${step.id}/${batch.no}` : step.id;
    tasks.push({ id, step, batch, empties, fromMin, toMin });
  };
  for (let at = 0; at < steps.length;) {
    const row = inRow(steps, at);
    const own = batches.filter((b) => row[0]?.eachBatch && b.round === row[0].round);
    if (own.length === 0) row.forEach((step) => add(step, null, false));
    for (const batch of own) row.forEach((s, i) => add(s, batch, i === row.length - 1));
    at += Math.max(1, row.length);
  }
  return tasks;
}
