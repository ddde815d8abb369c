import { gistOf, STATIONS } from '@kelmot/core';
import type { RepairRow, RepairView } from './repair';

/** A repair as a row of a list, told from the whole of it: as the server tells it. */
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
  const gate = readings.filter((r) => r.values.kind === 'ambient').at(-1);
  const due = reviews.filter((r) => r.doneAt === null).map((r) => r.dueOn);
  return {
    ...head,
    cardCode: plan?.body.card.code ?? null,
    gist: plan ? gistOf(plan.body) : null,
    stop: gate && !gate.passed ? gate.say : null,
    dueOn: due.sort()[0] ?? null,
  };
}

/** Whether there is work on it: an open repair with its plan, from Prep on. */
export const isAtWork = ({
  status,
  gist,
  station,
}: Pick<RepairRow, 'status' | 'gist' | 'station'>): boolean =>
  status === 'open' && gist !== null && STATIONS.indexOf(station) >= STATIONS.indexOf('prep');
