import { planSummaryOf } from '@kelmot/core';
import type { RepairView } from './repair';
import type { RepairRow } from './row';
import { runningPlan } from './running';

/** The list row of a whole repair, as the server makes it. */
export function rowOf(view: RepairView): RepairRow {
  const {
    survey: _,
    assetId: _a,
    plan,
    readings,
    checks: _c,
    earlier: _e,
    signoffs: _s,
    ...rest
  } = view;
  const { reviews, ...head } = rest;
  const runs = runningPlan(view);
  const gate = readings.filter((r) => r.values.kind === 'ambient').at(-1);
  const due = reviews.filter((r) => r.doneAt === null).map((r) => r.dueOn);
  return {
    ...head,
    cardCode: plan?.body.card.code ?? null,
    summary: runs ? planSummaryOf(runs) : null,
    stop: gate && !gate.passed ? gate.say : null,
    dueOn: due.sort()[0] ?? null,
  };
}
