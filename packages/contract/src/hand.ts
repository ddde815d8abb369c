import { planRound, type Deed, type Plan } from '@kelmot/core';
import { soundMixes, stepDone, type Recorded } from './done';
import type { Check } from './repair';
import { againBecause } from './windows';

/** The last word of a tick, of its batch or of the step as a whole. A batch that was binned takes its ticks with it. */
function ticked(checks: readonly Check[], deed: Deed, since: number): boolean {
  const own = checks.filter((c) => c.stepId === deed.step.id);
  const counts = (c: Check) =>
    c.batchNo === null || (c.batchNo === deed.batch?.no && Date.parse(c.at) >= since);
  return own.filter(counts).at(-1)?.done ?? false;
}

/**
 * Whether one thing is done. With a batch: it was mixed and this was ticked since, and what empties the pail says that
 * it is placed. What was placed without a tick is done too, save in the last batch of its round: there the step asks for it.
 */
export function deedDone(deed: Deed, view: Recorded, plan: Plan, now: number): boolean {
  const { step, batch, empties } = deed;
  if (!batch) return stepDone(step, view, now) && againBecause(step, view, plan, now) === null;
  const mix = soundMixes(view.mixes).find((x) => x.batchNo === batch.no);
  if (!mix) return false;
  const placed = mix.placedAt !== null;
  const last = planRound(plan, batch.round)?.batches.at(-1)?.no === batch.no;
  if (placed && !last) return true;
  const met =
    step.hold?.kind === 'check'
      ? ticked(view.checks, deed, Date.parse(mix.startedAt))
      : stepDone(step, view, now);
  return met && (placed || !empties);
}

/** Which of everything there is to do is at hand: the first that is not done; null when all is. */
export function atHand(deeds: readonly Deed[], view: Recorded, now: number): number | null {
  const plan = view.plan?.body;
  const at = plan ? deeds.findIndex((d) => !deedDone(d, view, plan, now)) : -1;
  return at < 0 ? null : at;
}
