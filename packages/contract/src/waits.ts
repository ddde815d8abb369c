import { dayClockText, m, soonAt, type Call, type Plan, type Zone } from '@kelmot/core';
import { startedClocks } from './clocks';
import type { RepairView } from './repair';
import { runningPlan } from './running';
import { repeatText, linkStart, windowOf } from './windows';

/** What expires after a step: a reading, a dampened wall, a blasted surface. Rounds have their own clocks. */
function ofWindows(
  view: RepairView,
  { plan, now, zone }: { plan: Plan; now: number; zone: Zone },
): Call[] {
  return plan.links.flatMap((link) => {
    const { from } = link;
    if (!('step' in from) || link.most === null || link.instead.length > 0) return [];
    const { closes } = windowOf(link, { view, plan, now });
    const begun = linkStart(link, view);
    const done = plan.steps.find((s) => s.id === from.step);
    const to = plan.steps.find((s) => s.id === link.to);
    if (closes === null || !begun || !done || !to) return [];
    const values = { at: dayClockText(closes, now, zone), to: to.title, why: link.why };
    return [
      { at: soonAt(begun.first, closes), urgent: true, say: m('Before {at}: {to}. {why}', values) },
      { at: closes, urgent: true, say: repeatText(done, link.why) },
    ];
  });
}

/**
 * The calls for the waits of a repair, in order of time, epoch ms: a started clock ends, or something expires. In
 * addition to the calls of its rounds; none for a repair that is not open.
 */
export function waitCalls(view: RepairView, now: number, zone: Zone): Call[] {
  const plan = runningPlan(view);
  if (!plan || view.status !== 'open') return [];
  const clocks = startedClocks(view, plan).map(({ at, urgent, over }) => ({
    at,
    urgent,
    say: over,
  }));
  return [...clocks, ...ofWindows(view, { plan, now, zone })].sort((p, q) => p.at - q.at);
}
