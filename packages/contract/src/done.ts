import { MINUTE, type MixedBatch, type Plan, type Step } from '@kelmot/core';
import type { RepairView } from './repair';
import type { Mix, Reading } from './records';

/** The input for a plan's progress. */
export type Recorded = Pick<RepairView, 'plan' | 'readings' | 'checks' | 'mixes'>;

/** What a wait, a window or a task is judged by: the record and the plan of a repair, at `now` (epoch ms). */
export interface AtMoment {
  view: Recorded;
  plan: Plan;
  now: number;
}

/** Mixes as core's clocks read them. */
export const mixedBatches = (mixes: readonly Mix[]): MixedBatch[] =>
  mixes.map((x) => ({
    batchNo: x.batchNo,
    startedAt: Date.parse(x.startedAt),
    placedAt: x.placedAt === null ? null : Date.parse(x.placedAt),
    binned: x.binnedAt !== null,
  }));

/** The open batch: mixed, neither placed nor thrown away; null if there is none. */
export const openBatchOf = <T extends Pick<Mix, 'placedAt' | 'binnedAt'>>(
  mixes: readonly T[],
): T | null => mixes.find((x) => x.placedAt === null && x.binnedAt === null) ?? null;

/** The last of the rows that match. */
export const lastWhere = <T>(rows: readonly T[], is: (row: T) => boolean): T | undefined =>
  rows.filter(is).at(-1);

/** The readings at a step's hold, in order, without counts. */
export const readingsAtHold = <T extends Pick<Reading, 'stepId' | 'values'>>(
  stepId: string,
  readings: readonly T[],
): T[] => readings.filter((r) => r.stepId === stepId && r.values.kind !== 'timed');

/** The end of a step's wait, epoch ms; null if it has none or was not started. */
export function waitEnd(step: Step, { readings }: Pick<Recorded, 'readings'>): number | null {
  if (step.hold?.kind !== 'countdown') return null;
  const started = lastWhere(
    readingsAtHold(step.id, readings),
    (r) => r.values.kind === 'countdown',
  );
  return started ? Date.parse(started.takenAt) + step.hold.minutes * MINUTE : null;
}

/** Whether the last record of a step is an override: the job went on without its hold. */
const overridden = (step: Step, { readings }: Pick<Recorded, 'readings'>): boolean =>
  readingsAtHold(step.id, readings).at(-1)?.values.kind === 'override';

/**
 * Whether a step's hold is met at a moment: its last tick is set, its last reading passed, its wait is over; or it was
 * overridden.
 */
export function stepDone(
  step: Step,
  recorded: Pick<Recorded, 'readings' | 'checks'>,
  now: number,
): boolean {
  const { readings, checks } = recorded;
  if (step.hold === null || overridden(step, recorded)) return true;
  if (step.hold.kind === 'check')
    return lastWhere(checks, (c) => c.stepId === step.id)?.done ?? false;
  if (step.hold.kind === 'countdown') return (waitEnd(step, recorded) ?? Infinity) <= now;
  return readingsAtHold(step.id, readings).at(-1)?.passed ?? false;
}

/** Batches that count: not thrown away. */
export const countedMixes = (mixes: readonly Mix[]) => mixes.filter((x) => x.binnedAt === null);
