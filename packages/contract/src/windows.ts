import { minutes } from '@kelmot/core/message/message';
import {
  planSummaryOf,
  m,
  MINUTE,
  mixedOf,
  type Link,
  type Message,
  type Plan,
  type Step,
} from '@kelmot/core';
import {
  readingsAtHold,
  lastWhere,
  mixedBatches,
  stepDone,
  type AtMoment,
  type Recorded,
} from './done';
import { runningPlan } from './running';

/** The real start of a link, epoch ms; null before it. */
export function linkStart({ from }: Link, view: Recorded): { first: number; last: number } | null {
  const plan = view.plan?.body;
  if (!plan) return null;
  if ('round' in from) {
    const round = planSummaryOf(plan).rounds.find((r) => r.id === from.round);
    return round ? mixedOf(round, mixedBatches(view.mixes)) : null;
  }
  const tick = lastWhere(view.checks, (c) => c.stepId === from.step && c.done)?.at;
  const read = lastWhere(readingsAtHold(from.step, view.readings), (r) => r.passed)?.takenAt;
  const at = Date.parse(tick ?? read ?? '');
  return Number.isNaN(at) ? null : { first: at, last: at };
}

/** Tolerance for clocks that are read to the second, ms. */
const SECOND = 1000;

/** Whether a step has begun: its hold is met, or a batch of its round is mixed. */
function begun(step: Step, { view, plan, now }: AtMoment): boolean {
  if (!step.eachBatch) return stepDone(step, view, now);
  const round = plan.rounds.find((r) => r.id === step.round);
  return view.mixes.some((x) => round?.batches.some((b) => b.no === x.batchNo));
}

/** The links of a running job. */
const linksOf = (view: Recorded, plan: Plan): Link[] => (runningPlan(view) ?? plan).links;
const linksTo = (view: Recorded, plan: Plan, { id }: Step): Link[] =>
  linksOf(view, plan).filter((l) => l.to === id);

/** What a step still waits for, and until when, epoch ms; null if nothing holds it. */
export function waitsUntil(
  step: Step,
  { view, plan, now }: AtMoment,
): { at: number; why: Message } | null {
  const links = linksTo(view, plan, step).filter((l) => l.instead.length === 0);
  const open = links.flatMap((link) => {
    const done = linkStart(link, view);
    const at = done ? done.last + link.least * MINUTE : -Infinity;
    // Tolerance for clocks that are read to the second.
    return now < at - SECOND ? [{ at, why: link.why }] : [];
  });
  return open.sort((p, q) => q.at - p.at)[0] ?? null;
}

/**
 * When the step after a link may begin and must have begun, epoch ms; null if the link does not apply, or no longer.
 */
export function windowOf(
  link: Link,
  { view, plan, now }: AtMoment,
): { opens: number | null; closes: number | null } {
  const done = link.least > 0 ? linkStart(link, view) : null;
  return {
    opens: done ? done.last + link.least * MINUTE : null,
    closes: closesAt(link, { view, plan, now }),
  };
}

/** The moment a link closes, epoch ms, while it runs: its start has happened and its step has not begun. */
function closesAt(link: Link, { view, plan, now }: AtMoment): number | null {
  const step = plan.steps.find((s) => s.id === link.to);
  const done = link.most === null ? null : linkStart(link, view);
  if (!done || !step || begun(step, { view, plan, now })) return null;
  return done.first + (link.most ?? 0) * MINUTE;
}

/**
 * Why something must be repeated: it was left too long. Null while it is valid. Readings, dampened walls and blasted
 * surfaces are repeated; a coat that has become shiny is handled by the clock of its round.
 */
export function repeatReason({ id }: Step, { view, plan, now }: AtMoment): Message | null {
  const missed = linksOf(view, plan).find((link) => {
    if (!('step' in link.from) || link.from.step !== id || link.instead.length > 0) return false;
    return (closesAt(link, { view, plan, now }) ?? Infinity) + SECOND < now;
  });
  return missed?.why ?? null;
}

/** What must be repeated, and why. */
export const repeatText = ({ title }: Pick<Step, 'title'>, why: Message): Message =>
  m('{title}, again. {why}', { title, why });

/** Open waits of a step, and what has been left too long before it, by the real times. */
export function waitsOpen(step: Step, { view, plan, now }: AtMoment): Message[] {
  const wait = waitsUntil(step, { view, plan, now });
  const again = linksTo(view, plan, step).flatMap((link): Message[] => {
    const from = plan.steps.find((s) => 'step' in link.from && s.id === link.from.step);
    const why = from && repeatReason(from, { view, plan, now });
    return from && why ? [repeatText(from, why)] : [];
  });
  const left = wait && minutes((wait.at - now) / MINUTE);
  return [...(wait && left ? [m('{left} to wait. {why}', { left, why: wait.why })] : []), ...again];
}

/** A window that closes before a step that has not begun. */
export interface Closing {
  to: Step;
  at: number;
  why: Message;
}

/** Open windows that will close, soonest first, epoch ms. */
export function closingWindows(view: Recorded, now: number): Closing[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  return linksOf(view, plan)
    .flatMap((link): Closing[] => {
      const at = closesAt(link, { view, plan, now });
      const to = plan.steps.find((s) => s.id === link.to);
      return at !== null && at >= now && to ? [{ to, at, why: link.why }] : [];
    })
    .sort((p, q) => p.at - q.at);
}
