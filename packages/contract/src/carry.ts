import { m, word, type Message, type Plan, type Step } from '@kelmot/core';
import { OWN_PLACES } from './ofRepair';
import { judgeReading } from './judge';
import type { LastPlan } from './repair';
import type { Check, Reading } from './records';

/** Something recorded that a new plan has no place for, and why. */
export interface LeftBehind {
  /** The step it was recorded on. */
  title: Message;
  why: Message;
}

/** What says nothing that a limit could judge: a picture, and clocks that were begun. */
const AS_THEY_ARE: ReadonlySet<Reading['values']['kind']> = new Set([
  'photo',
  'countdown',
  'timed',
]);

export interface Carried {
  checks: Check[];
  readings: Reading[];
  /** One a step, in the order in which they were recorded. */
  left: LeftBehind[];
}

/** What a step tells to do; what is measured there has its limits beside it. */
const toldBy = ({ does, title, text }: Step): string => [does, word(title), word(text)].join('\n');

/** Why what was recorded on a step does not stand in a new plan; null where it does. */
function whyNot(before: Step, after: Step | undefined): Message | null {
  if (!after?.hold) return m('The new plan has no such step.');
  if (after.hold.kind !== before.hold?.kind)
    return m('The new plan asks for something else there.');
  return toldBy(before) === toldBy(after) ? null : m('The step says something else now.');
}

/**
 * What of a plan’s record stands in a new plan: every tick, reading and picture whose step is there and says the same. A
 * reading is judged anew by the limits of the new plan. What does not stand is named, with the reason.
 */
export function carriedOver(
  { body, checks, readings }: Pick<LastPlan, 'body' | 'checks' | 'readings'>,
  next: Plan,
): Carried {
  const stepsOf = (plan: Plan) => new Map(plan.steps.map((step) => [step.id, step]));
  const [old, now] = [stepsOf(body), stepsOf(next)];
  const whyNotAt = (stepId: string): Message | null => {
    // How warm it was and whose it was is of the place, whatever is laid there.
    if (OWN_PLACES.includes(stepId)) return null;
    const before = old.get(stepId);
    return before ? whyNot(before, now.get(stepId)) : m('The new plan has no such step.');
  };
  const stands = ({ stepId }: { stepId: string }) => whyNotAt(stepId) === null;
  const anew = (reading: Reading): Reading => {
    const hold = now.get(reading.stepId)?.hold;
    // A picture and a clock are what they are: nothing of them is judged by a limit.
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
