import { m, stepWords, word, type Message, type Plan, type Step } from '@kelmot/core';
import { OWN_PLACES } from './ofRepair';
import { judgeReading } from './judge';
import type { LastPlan } from './repair';
import type { Check, Reading } from './records';

/** A record that a new plan has no place for, and the reason. */
export interface LeftBehind {
  /** The step it was recorded on. */
  title: Message;
  why: Message;
}

/** Kinds that no limit judges: pictures and started clocks. */
const AS_THEY_ARE: ReadonlySet<Reading['values']['kind']> = new Set([
  'photo',
  'countdown',
  'timed',
]);

export interface Carried {
  checks: Check[];
  readings: Reading[];
  /** One for each step, in the order of recording. */
  left: LeftBehind[];
}

/** The instruction of a step; a measurement has its limits with it. */
const toldBy = (step: Step): string => [step.does, word(step.title), stepWords(step)].join('\n');

/** Why records of a step are not valid in a new plan; null if they are. */
function whyNot(before: Step, after: Step | undefined): Message | null {
  if (!after?.hold) return m('The new plan has no such step.');
  if (after.hold.kind !== before.hold?.kind)
    return m('This step asks for another reading in the new plan.');
  return toldBy(before) === toldBy(after) ? null : m('The instruction of this step has changed.');
}

/**
 * Which records of a plan are valid in a new plan: every tick, reading and picture whose step exists there with the
 * same instruction. Readings are judged again by the new limits. Other records are listed with the reason.
 */
export function validRecords(
  { body, checks, readings }: Pick<LastPlan, 'body' | 'checks' | 'readings'>,
  next: Plan,
): Carried {
  const stepsOf = (plan: Plan) => new Map(plan.steps.map((step) => [step.id, step]));
  const [old, now] = [stepsOf(body), stepsOf(next)];
  const whyNotAt = (stepId: string): Message | null => {
    // Temperature and handover belong to the repair, whatever its material.
    if (OWN_PLACES.includes(stepId)) return null;
    const before = old.get(stepId);
    return before ? whyNot(before, now.get(stepId)) : m('The new plan has no such step.');
  };
  const stands = ({ stepId }: { stepId: string }) => whyNotAt(stepId) === null;
  const anew = (reading: Reading): Reading => {
    const hold = now.get(reading.stepId)?.hold;
    // Pictures and clocks are not judged by a limit.
    if (!hold || AS_THEY_ARE.has(reading.values.kind)) return reading;
    return { ...reading, ...judgeReading(hold, reading.values, next) };
  };
  const recorded = new Set([...checks, ...readings].map((r) => r.stepId));
  return {
    checks: checks.filter(stands),
    readings: readings.filter(stands).map(anew),
    left: [...recorded].flatMap((stepId) => {
      const why = whyNotAt(stepId);
      return why ? [{ title: old.get(stepId)?.title ?? m('{stepId}', { stepId }), why }] : [];
    }),
  };
}
