import { MINUTE, type MixedBatch, type Step } from '@kelmot/core';
import type { RepairView } from './repair';
import type { Mix, Reading } from './records';

/** What a plan’s progress is read from. */
export type Recorded = Pick<RepairView, 'plan' | 'readings' | 'checks' | 'mixes'>;

/** Mixes as the clocks of core read them. */
export const mixedBatches = (mixes: readonly Mix[]): MixedBatch[] =>
  mixes.map((x) => ({
    batchNo: x.batchNo,
    startedAt: Date.parse(x.startedAt),
    placedAt: x.placedAt === null ? null : Date.parse(x.placedAt),
    binned: x.binnedAt !== null,
  }));

/** The batch that lives in a pail: mixed, and neither placed nor binned; null where none does. */
export const wetOf = <T extends Pick<Mix, 'placedAt' | 'binnedAt'>>(
  mixes: readonly T[],
): T | null => mixes.find((x) => x.placedAt === null && x.binnedAt === null) ?? null;

/** The last of the rows that are so. */
export const latest = <T>(rows: readonly T[], is: (row: T) => boolean): T | undefined =>
  rows.filter(is).at(-1);

/** The readings at the hold of a step, in order: what is only counted beside it is none. */
export const atHold = <T extends Pick<Reading, 'stepId' | 'values'>>(
  stepId: string,
  readings: readonly T[],
): T[] => readings.filter((r) => r.stepId === stepId && r.values.kind !== 'timed');

/** When the wait of a step ends, epoch ms; null where it has none or was not started. */
export function waitEnds(step: Step, { readings }: Pick<Recorded, 'readings'>): number | null {
  if (step.hold?.kind !== 'countdown') return null;
  const started = latest(atHold(step.id, readings), (r) => r.values.kind === 'countdown');
  return started ? Date.parse(started.takenAt) + step.hold.minutes * MINUTE : null;
}

/** Whether the last word on a step is an override: the job went on without what its hold asks for. */
const overridden = (step: Step, { readings }: Pick<Recorded, 'readings'>): boolean =>
  atHold(step.id, readings).at(-1)?.values.kind === 'override';

/**
 * Whether a step's hold has been met at a moment: its last tick stands, its last reading passed, its wait is over; or
 * the job went on without it, by an override.
 */
export function stepDone(
  step: Step,
  recorded: Pick<Recorded, 'readings' | 'checks'>,
  now: number,
): boolean {
  const { readings, checks } = recorded;
  if (step.hold === null || overridden(step, recorded)) return true;
  if (step.hold.kind === 'check') return latest(checks, (c) => c.stepId === step.id)?.done ?? false;
  if (step.hold.kind === 'countdown') return (waitEnds(step, recorded) ?? Infinity) <= now;
  return atHold(step.id, readings).at(-1)?.passed ?? false;
}

/** Batches that count: one that was binned never was. */
export const soundMixes = (mixes: readonly Mix[]) => mixes.filter((x) => x.binnedAt === null);
