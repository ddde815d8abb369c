import {
  planSummaryOf,
  m,
  openBatches,
  planBatches,
  type Message,
  type Plan,
  type PlanBatch,
  type StationId,
  type Step,
} from '@kelmot/core';
import {
  mixedBatches,
  countedMixes,
  stepDone,
  openBatchOf,
  type AtMoment,
  type Recorded,
} from './done';
import type { Mix } from './records';
import { waitsOpen } from './windows';

/** Batches of a round that are not yet mixed or placed. */
function openInRound(plan: Plan, round: string, mixes: readonly Mix[]): PlanBatch[] {
  const placed = countedMixes(mixes).filter((x) => x.placedAt !== null);
  return planBatches(plan).filter(
    (b) => b.round === round && !placed.some((x) => x.batchNo === b.no),
  );
}

/** Whether a step is complete: its hold is met and, if it is done per batch, all are placed. */
function finished(step: Step, { view, plan, now }: AtMoment): boolean {
  if (step.eachBatch && step.round !== null && openInRound(plan, step.round, view.mixes).length > 0)
    return false;
  return stepDone(step, view, now);
}

/** What is open before a place in the order: titles of holds, and unplaced batches. */
function openBefore(end: number, { view, plan, now }: AtMoment): Message[] {
  const before = plan.steps.slice(0, end);
  const holds = before.filter((s) => !stepDone(s, view, now)).map((s) => s.title);
  const rounds = [...new Set(before.flatMap((s) => (s.eachBatch && s.round ? [s.round] : [])))];
  const left = rounds.flatMap((r) => openInRound(plan, r, view.mixes));
  return [
    ...holds,
    ...(left.length > 0
      ? [m('{n, plural, one {one batch} other {# batches}} to place', { n: left.length })]
      : []),
  ];
}

/**
 * What is open before a batch may be mixed: every hold before its round’s mix, earlier batches, and for the first of a
 * round the waits of its links.
 */
export function openForBatch(view: Recorded, batchNo: number, now: number): Message[] {
  const plan = view.plan?.body;
  const batch = plan && planBatches(plan).find((b) => b.no === batchNo);
  if (!plan || !batch) return [];
  const mixAt = plan.steps.findIndex((s) => s.name === 'mix' && s.round === batch.round);
  const mix = plan.steps[mixAt];
  const begun = view.mixes.some((x) =>
    planBatches(plan).some((b) => b.no === x.batchNo && b.round === batch.round),
  );
  const placed = countedMixes(view.mixes).filter((x) => x.placedAt !== null);
  const early = planBatches(plan).filter(
    (b) => b.no < batch.no && b.round === batch.round && !placed.some((x) => x.batchNo === b.no),
  );
  return [
    ...openBefore(mixAt, { view, plan, now }),
    ...(mix && !begun ? waitsOpen(mix, { view, plan, now }) : []),
    ...early.map((b) => m('batch {no} first', { no: b.no })),
  ];
}

/**
 * What holds a repair back from a station: everything before the first open step there, in working order. A station
 * without open steps waits for everything before its last step.
 */
export function openHolds(view: Recorded, station: StationId, now: number): Message[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  const own = plan.steps.flatMap((s, i) => (s.station === station ? [i] : []));
  const first =
    own.find((i) => !finished(plan.steps[i] as Step, { view, plan, now })) ?? own.at(-1);
  return first === undefined ? [] : openBefore(first, { view, plan, now });
}

/** What is open in the whole job; empty when it may be signed off. */
export function openHoldsOfJob(view: Recorded, now: number): Message[] {
  const plan = view.plan?.body;
  return plan ? openBefore(plan.steps.length, { view, plan, now }) : [];
}

/** The open batch, and the next one of the plan. */
export function batchesAt(view: Recorded): { wet: Mix | null; next: PlanBatch | null } {
  const plan = view.plan?.body;
  if (!plan) return { wet: null, next: null };
  const wet = openBatchOf(view.mixes);
  const no = openBatches(planSummaryOf(plan), mixedBatches(view.mixes))[0];
  return { wet, next: planBatches(plan).find((b) => b.no === no) ?? null };
}

/** For each round in order, whether it is completely placed; empty without a plan. */
export function roundsPlaced(view: Recorded): boolean[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  const placed = new Set(
    view.mixes.filter((x) => x.placedAt !== null && x.binnedAt === null).map((x) => x.batchNo),
  );
  return plan.rounds.map((round) =>
    planBatches(plan).every((b) => b.round !== round.id || placed.has(b.no)),
  );
}
