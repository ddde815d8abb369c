import { minutes } from '@kelmot/core/message/message';
import {
  gistOf,
  m,
  MINUTE,
  mixedOf,
  type Link,
  type Message,
  type Plan,
  type Step,
} from '@kelmot/core';
import { atHold, latest, mixedBatches, stepDone, type Recorded } from './done';
import { runningPlan } from './running';

/** What a link counts from, as it really happened, epoch ms; null before it has. */
export function linkedFrom({ from }: Link, view: Recorded): { first: number; last: number } | null {
  const plan = view.plan?.body;
  if (!plan) return null;
  if ('round' in from) {
    const round = gistOf(plan).rounds.find((r) => r.id === from.round);
    return round ? mixedOf(round, mixedBatches(view.mixes)) : null;
  }
  const tick = latest(view.checks, (c) => c.stepId === from.step && c.done)?.at;
  const read = latest(atHold(from.step, view.readings), (r) => r.passed)?.takenAt;
  const at = Date.parse(tick ?? read ?? '');
  return Number.isNaN(at) ? null : { first: at, last: at };
}

/** A clock that is read to the second is not early by a part of one, ms. */
const SECOND = 1000;

/** Whether a step was begun: its hold met, or a batch of its round mixed. */
function begun(step: Step, view: Recorded, plan: Plan, now: number): boolean {
  if (!step.eachBatch) return stepDone(step, view, now);
  const round = plan.rounds.find((r) => r.id === step.round);
  return view.mixes.some((x) => round?.batches.some((b) => b.no === x.batchNo));
}

/** The waits of a job as it runs. */
const linksOf = (view: Recorded, plan: Plan): Link[] => (runningPlan(view) ?? plan).links;
const linksTo = (view: Recorded, plan: Plan, { id }: Step): Link[] =>
  linksOf(view, plan).filter((l) => l.to === id);

/** What a step still waits for, and when that is over, epoch ms; null when nothing holds it. */
export function waitsUntil(
  step: Step,
  view: Recorded,
  plan: Plan,
  now: number,
): { at: number; why: Message } | null {
  const links = linksTo(view, plan, step).filter((l) => l.instead.length === 0);
  const open = links.flatMap((link) => {
    const done = linkedFrom(link, view);
    const at = done ? done.last + link.least * MINUTE : -Infinity;
    // One that is read to the second is not early by a part of it.
    return now < at - SECOND ? [{ at, why: link.why }] : [];
  });
  return open.sort((p, q) => q.at - p.at)[0] ?? null;
}

/** When what a link leads to may begin and must have begun, epoch ms; null where it says nothing, or no longer. */
export function windowOf(
  link: Link,
  view: Recorded,
  plan: Plan,
  now: number,
): { opens: number | null; closes: number | null } {
  const done = link.least > 0 ? linkedFrom(link, view) : null;
  return {
    opens: done ? done.last + link.least * MINUTE : null,
    closes: closesAt(link, view, plan, now),
  };
}

/** The moment a link closes, epoch ms, while it runs: what it counts from has happened and its step is not begun. */
function closesAt(link: Link, view: Recorded, plan: Plan, now: number): number | null {
  const step = plan.steps.find((s) => s.id === link.to);
  const done = link.most === null ? null : linkedFrom(link, view);
  if (!done || !step || begun(step, view, plan, now)) return null;
  return done.first + (link.most ?? 0) * MINUTE;
}

/**
 * Why what was done must be done again: it was left too long before what follows. Null while it stands. A reading, a damp
 * wall, a blasted face are made new; a coat that has gone shiny is told by the clock of its round.
 */
export function againBecause(
  { id }: Step,
  view: Recorded,
  plan: Plan,
  now: number,
): Message | null {
  const missed = linksOf(view, plan).find((link) => {
    if (!('step' in link.from) || link.from.step !== id || link.instead.length > 0) return false;
    return (closesAt(link, view, plan, now) ?? Infinity) + SECOND < now;
  });
  return missed?.why ?? null;
}

/** What is to be done again, and why. */
export const againSaid = ({ title }: Pick<Step, 'title'>, why: Message): Message =>
  m('{title}, again. {why}', { title, why });

/** Waits of a step that are not over, and what has been left too long before it, by the clock as it really ran. */
export function waitsOpen(view: Recorded, plan: Plan, step: Step, now: number): Message[] {
  const wait = waitsUntil(step, view, plan, now);
  const again = linksTo(view, plan, step).flatMap((link): Message[] => {
    const from = plan.steps.find((s) => 'step' in link.from && s.id === link.from.step);
    const why = from && againBecause(from, view, plan, now);
    return from && why ? [againSaid(from, why)] : [];
  });
  const left = wait && minutes((wait.at - now) / MINUTE);
  return [...(wait && left ? [m('{left} to wait. {why}', { left, why: wait.why })] : []), ...again];
}

/** What is running out: a window that closes before a step which is still to be begun. */
export interface Closing {
  to: Step;
  at: number;
  why: Message;
}

/** Windows that are open and will close, the soonest first, epoch ms. */
export function closingWindows(view: Recorded, now: number): Closing[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  return linksOf(view, plan)
    .flatMap((link): Closing[] => {
      const at = closesAt(link, view, plan, now);
      const to = plan.steps.find((s) => s.id === link.to);
      return at !== null && at >= now && to ? [{ to, at, why: link.why }] : [];
    })
    .sort((p, q) => p.at - q.at);
}
