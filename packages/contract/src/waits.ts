import { dayClockText, m, soonAt, type Call, type Plan, type Zone } from '@kelmot/core';
import { startedClocks } from './clocks';
import type { RepairView } from './repair';
import { runningPlan } from './running';
import { againSaid, linkedFrom, windowOf } from './windows';

/** What runs out after a step: a reading goes stale, a wall damp, a blasted face dull. Rounds have clocks of their own. */
function ofWindows(view: RepairView, plan: Plan, now: number, zone: Zone): Call[] {
  return plan.links.flatMap((link) => {
    const { from } = link;
    if (!('step' in from) || link.most === null || link.instead.length > 0) return [];
    const { closes } = windowOf(link, view, plan, now);
    const begun = linkedFrom(link, view);
    const done = plan.steps.find((s) => s.id === from.step);
    const to = plan.steps.find((s) => s.id === link.to);
    if (closes === null || !begun || !done || !to) return [];
    const values = { at: dayClockText(closes, now, zone), to: to.title, why: link.why };
    return [
      { at: soonAt(begun.first, closes), urgent: true, say: m('Before {at}: {to}. {why}', values) },
      { at: closes, urgent: true, say: againSaid(done, link.why) },
    ];
  });
}

/**
 * When somebody is to be told something of the waits of a repair, in the order of time, epoch ms: a clock that was started is
 * over, and what was done goes stale. Beside what its rounds call out; nothing of a repair that is not open.
 */
export function waitCalls(view: RepairView, now: number, zone: Zone): Call[] {
  const plan = runningPlan(view);
  if (!plan || view.status !== 'open') return [];
  const clocks = startedClocks(view, plan).map(({ at, urgent, over }) => ({
    at,
    urgent,
    say: over,
  }));
  return [...clocks, ...ofWindows(view, plan, now, zone)].sort((p, q) => p.at - q.at);
}
