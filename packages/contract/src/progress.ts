import { minutes } from '@kelmot/core/message/message';
import {
  gistOf,
  m,
  MINUTE,
  mixedOf,
  openBatches,
  planBatches,
  type Link,
  type Message,
  type MixedBatch,
  type Plan,
  type PlanBatch,
  type StationId,
  type Step,
} from '@kelmot/core';
import type { Mix, RepairView } from './repair';

type Recorded = Pick<RepairView, 'plan' | 'readings' | 'checks' | 'mixes'>;

/** Mixes as the clocks of core read them. */
export const mixedBatches = (mixes: readonly Mix[]): MixedBatch[] =>
  mixes.map((x) => ({
    batchNo: x.batchNo,
    startedAt: Date.parse(x.startedAt),
    placedAt: x.placedAt === null ? null : Date.parse(x.placedAt),
    binned: x.binnedAt !== null,
  }));

const latest = <T>(rows: readonly T[], is: (row: T) => boolean): T | undefined =>
  rows.filter(is).at(-1);

/** When the wait of a step ends, epoch ms; null where it has none or was not started. */
export function waitEnds(step: Step, { readings }: Pick<Recorded, 'readings'>): number | null {
  if (step.hold?.kind !== 'countdown') return null;
  const started = latest(readings, (r) => r.stepId === step.id);
  return started ? Date.parse(started.takenAt) + step.hold.minutes * MINUTE : null;
}

/** Whether a step's hold has been met at a moment: its last tick stands, its last reading passed, its wait is over. */
export function stepDone(
  step: Step,
  recorded: Pick<Recorded, 'readings' | 'checks'>,
  now: number,
): boolean {
  const { readings, checks } = recorded;
  if (step.hold === null) return true;
  if (step.hold.kind === 'check') return latest(checks, (c) => c.stepId === step.id)?.done ?? false;
  if (step.hold.kind === 'countdown') return (waitEnds(step, recorded) ?? Infinity) <= now;
  return latest(readings, (r) => r.stepId === step.id)?.passed ?? false;
}

const soundMixes = (mixes: readonly Mix[]) => mixes.filter((x) => x.binnedAt === null);

/** Batches of a round that are still to be mixed or placed. */
function openInRound(plan: Plan, round: string, mixes: readonly Mix[]): PlanBatch[] {
  const placed = soundMixes(mixes).filter((x) => x.placedAt !== null);
  return planBatches(plan).filter(
    (b) => b.round === round && !placed.some((x) => x.batchNo === b.no),
  );
}

/** Whether nothing of a step is left: its hold is met and, where it is done with each batch, all are placed. */
function finished(step: Step, view: Recorded, plan: Plan, now: number): boolean {
  if (step.eachBatch && step.round !== null && openInRound(plan, step.round, view.mixes).length > 0)
    return false;
  return stepDone(step, view, now);
}

/** The first step, in the order people work, that is not finished; null when all are. */
export function nextStep(view: Recorded, now: number): Step | null {
  const plan = view.plan?.body;
  return plan?.steps.find((s) => !finished(s, view, plan, now)) ?? null;
}

/** What is open before a place in the order: titles of holds, and batches that are not placed. */
function openBefore(view: Recorded, plan: Plan, end: number, now: number): Message[] {
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

/** What a link counts from, as it really happened, epoch ms; null before it has. */
export function linkedFrom(
  { from }: Link,
  view: Pick<Recorded, 'plan' | 'readings' | 'checks' | 'mixes'>,
): { first: number; last: number } | null {
  const plan = view.plan?.body;
  if (!plan) return null;
  if ('round' in from) {
    const round = gistOf(plan).rounds.find((r) => r.id === from.round);
    return round ? mixedOf(round, mixedBatches(view.mixes)) : null;
  }
  const tick = latest(view.checks, (c) => c.stepId === from.step && c.done)?.at;
  const read = latest(view.readings, (r) => r.stepId === from.step && r.passed)?.takenAt;
  const at = Date.parse(tick ?? read ?? '');
  return Number.isNaN(at) ? null : { first: at, last: at };
}

/** A clock that is read to the second is not early by a part of one, ms. */
const SECOND = 1000;

/** Waits of a step that are not over, and what has been left too long before it, by the clock as it really ran. */
function waitsOpen(view: Recorded, plan: Plan, step: Step, now: number): Message[] {
  return plan.links
    .filter((l) => l.to === step.id && l.instead.length === 0)
    .flatMap((link): Message[] => {
      const done = linkedFrom(link, view);
      if (!done) return [];
      const opens = done.last + link.least * MINUTE;
      if (now < opens - SECOND)
        return [
          m('{left} to wait. {why}', { left: minutes((opens - now) / MINUTE), why: link.why }),
        ];
      // A reading, a damp wall, a blasted face are made new; a coat that has gone shiny is told by the clock of its round.
      const again =
        'step' in link.from && link.most !== null && now > done.first + link.most * MINUTE + SECOND;
      const from = plan.steps.find((s) => 'step' in link.from && s.id === link.from.step);
      return again && from
        ? [m('{title}, again. {why}', { title: from.title, why: link.why })]
        : [];
    });
}

/**
 * What still stands before a batch may be mixed: every hold before its round’s mix, the batches before it placed, and
 * for the first of a round the waits of its links.
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
  const placed = soundMixes(view.mixes).filter((x) => x.placedAt !== null);
  const early = planBatches(plan).filter(
    (b) => b.no < batch.no && b.round === batch.round && !placed.some((x) => x.batchNo === b.no),
  );
  return [
    ...openBefore(view, plan, mixAt, now),
    ...(mix && !begun ? waitsOpen(view, plan, mix, now) : []),
    ...early.map((b) => m('batch {no} first', { no: b.no })),
  ];
}

/**
 * What holds a repair back from a station: everything before the first open step there, in the order people work.
 * A station with nothing open waits for all that is before its last step.
 */
export function openHolds(view: Recorded, station: StationId, now: number): Message[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  const own = plan.steps.flatMap((s, i) => (s.station === station ? [i] : []));
  const first = own.find((i) => !finished(plan.steps[i] as Step, view, plan, now)) ?? own.at(-1);
  return first === undefined ? [] : openBefore(view, plan, first, now);
}

/** What is still open in the whole job; nothing when it may be signed off. */
export function openInAll(view: Recorded, now: number): Message[] {
  const plan = view.plan?.body;
  return plan ? openBefore(view, plan, plan.steps.length, now) : [];
}

/** The batch in the pail, and the next one in the order of the plan. */
export function batchesAt(view: Recorded): { wet: Mix | null; next: PlanBatch | null } {
  const plan = view.plan?.body;
  if (!plan) return { wet: null, next: null };
  const wet = view.mixes.find((x) => x.placedAt === null && x.binnedAt === null) ?? null;
  const no = openBatches(gistOf(plan), mixedBatches(view.mixes))[0];
  return { wet, next: planBatches(plan).find((b) => b.no === no) ?? null };
}

/** Whether each round of the plan is placed whole, in the order they are done; none without a plan. */
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
