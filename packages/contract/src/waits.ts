import {
  dayClockText,
  m,
  planBatches,
  soonAt,
  type Call,
  type Plan,
  type Zone,
} from '@kelmot/core';
import { waitEnds, wetOf } from './done';
import type { RepairView } from './repair';
import { runningPlan } from './running';
import { countedName, countedOf } from './timed';
import { pailStages } from './weighed';
import { againSaid, linkedFrom, windowOf } from './windows';

/** When a wait that somebody started is over: drying, flashing off, soaking, a pass of the lamp. */
function ofWaits(view: RepairView, plan: Plan): Call[] {
  return plan.steps.flatMap((step) => {
    const at = waitEnds(step, view);
    const { title } = step;
    return at === null
      ? []
      : [{ at, urgent: false, say: m('{title}: the wait is over.', { title }) }];
  });
}

/** When what is counted beside a step is over: a load was held long enough, a pass of the lamp. */
function ofCounts(view: RepairView, plan: Plan): Call[] {
  return plan.steps.flatMap((step) => {
    const counted = countedOf(step, view.readings);
    if (counted === null || counted.ends === null) return [];
    const { timed, begun, ends } = counted;
    const say = m('{title}: {name}, the time is over.', {
      title: step.title,
      name: countedName(timed, begun),
    });
    return [{ at: ends, urgent: true, say }];
  });
}

/** When a batch in the pail has been mixed, has rested or soaked for its time, and what to do then. */
function ofPail(view: RepairView, plan: Plan): Call[] {
  const wet = wetOf(view.mixes);
  const batch = wet && planBatches(plan).find((b) => b.no === wet.batchNo);
  if (!wet || !batch) return [];
  return pailStages(plan, batch, wet).map(({ ends, label, then }) => ({
    at: ends,
    urgent: true,
    say: m('Batch {no}: {label}, the time is over. {then}', { no: batch.no, label, then }),
  }));
}

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
 * When somebody is to be told something of the waits of a repair, in the order of time, epoch ms: one that was started is
 * over, what is counted and mixed has had its time, and what was done goes stale. Beside what its rounds call out; nothing of a repair that is not open.
 */
export function waitCalls(view: RepairView, now: number, zone: Zone): Call[] {
  const plan = runningPlan(view);
  if (!plan || view.status !== 'open') return [];
  const waits = [...ofWaits(view, plan), ...ofCounts(view, plan), ...ofPail(view, plan)];
  return [...waits, ...ofWindows(view, plan, now, zone)].sort((p, q) => p.at - q.at);
}
