import { planRound, type Task } from '@kelmot/core';
import { countedMixes, stepDone, type AtMoment, type Recorded } from './done';
import type { Check, Mix, Reading } from './records';
import { repeatReason } from './windows';

/** The last tick of a batch or of the whole step. Ticks of a batch that was thrown away do not count. */
function ticked(checks: readonly Check[], task: Task, since: number): boolean {
  const own = checks.filter((c) => c.stepId === task.step.id);
  const counts = (c: Check) =>
    c.batchNo === null || (c.batchNo === task.batch?.no && Date.parse(c.at) >= since);
  return own.filter(counts).at(-1)?.done ?? false;
}

/**
 * Whether a task is done. With a batch: it was mixed, and the step was ticked since; the last task also needs the batch
 * to be placed. A placed batch counts as ticked, except the last batch of a round: there the step needs its tick.
 */
export function taskDone(task: Task, { view, plan, now }: AtMoment): boolean {
  const { step, batch, empties } = task;
  if (!batch) return stepDone(step, view, now) && repeatReason(step, { view, plan, now }) === null;
  const mix = countedMixes(view.mixes).find((x) => x.batchNo === batch.no);
  if (!mix) return false;
  const placed = mix.placedAt !== null;
  const last = planRound(plan, batch.round)?.batches.at(-1)?.no === batch.no;
  if (placed && !last) return true;
  const met =
    step.hold?.kind === 'check'
      ? ticked(view.checks, task, Date.parse(mix.startedAt))
      : stepDone(step, view, now);
  return met && (placed || !empties);
}

/** The index of the current task: the first that is not done; null when all are. */
export function currentTask(tasks: readonly Task[], view: Recorded, now: number): number | null {
  const plan = view.plan?.body;
  const at = plan ? tasks.findIndex((d) => !taskDone(d, { view, plan, now })) : -1;
  return at < 0 ? null : at;
}

type Written = Pick<Check | Reading | Mix, 'by' | 'byId'> & { at: string };

/** The last record of a task, with person and time: its tick, reading or batch. Null if none. */
export function lastRecord({ step, batch }: Task, view: Recorded): Written | null {
  const checks = view.checks.filter(
    (c) => c.stepId === step.id && (c.batchNo === null || c.batchNo === batch?.no),
  );
  const readings = view.readings
    .filter((r) => r.stepId === step.id)
    .map(({ takenAt, ...r }) => ({ ...r, at: takenAt }));
  const mixes = countedMixes(view.mixes)
    .filter((x) => step.name === 'mix' && x.batchNo === batch?.no)
    .map(({ startedAt, ...x }) => ({ ...x, at: startedAt }));
  const all: Written[] = [...checks, ...readings, ...mixes];
  return all.sort((p, q) => Date.parse(p.at) - Date.parse(q.at)).at(-1) ?? null;
}

/**
 * The ticks that make a step done, for its batch or as a whole, oldest first, one for each person: more than one means
 * it was done twice. Empty if it is not done.
 */
export function tickedBy(
  checks: readonly Check[],
  stepId: string,
  batchNo: number | null = null,
): Check[] {
  const own = checks.filter((c) => c.stepId === stepId && c.batchNo === batchNo);
  const standing = own.slice(own.map((c) => c.done).lastIndexOf(false) + 1);
  return standing.filter((c, i) => standing.findIndex((d) => d.byId === c.byId) === i);
}
