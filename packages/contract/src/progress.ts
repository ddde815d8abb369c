import { openBatches, type MixedBatch, type StationId, type Step } from '@kelmot/core';
import type { Mix, RepairView } from './repair';

type Recorded = Pick<RepairView, 'plan' | 'readings' | 'checks' | 'mixes'>;

/** Mixes as the clocks of core read them. */
export const mixedBatches = (mixes: Mix[]): MixedBatch[] =>
  mixes.map((m) => ({
    batchNo: m.batchNo,
    startedAt: Date.parse(m.startedAt),
    placedAt: m.placedAt === null ? null : Date.parse(m.placedAt),
    binned: m.binnedAt !== null,
  }));

const latest = <T>(rows: T[], is: (row: T) => boolean): T | undefined => rows.filter(is).at(-1);

/** Whether a step's hold has been met: its last tick stands, or its last reading passed. */
export function stepDone(
  step: Step,
  { readings, checks }: Pick<Recorded, 'readings' | 'checks'>,
): boolean {
  if (step.hold === null) return true;
  if (step.hold.kind === 'check') return latest(checks, (c) => c.stepId === step.id)?.done ?? false;
  return latest(readings, (r) => r.stepId === step.id)?.passed ?? false;
}

/** Steps of a station that still hold the job, in order. For Mix, batches not yet mixed and placed hold as well. */
export function openHolds(view: Recorded, station: StationId): string[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  const steps = plan.steps
    .filter((s) => s.station === station && !stepDone(s, view))
    .map((s) => s.title);
  if (station !== 'build') return steps;
  const left = openBatches(plan, mixedBatches(view.mixes)).length;
  const wet = view.mixes.filter((m) => m.placedAt === null && m.binnedAt === null).length;
  return [
    ...steps,
    ...(left ? [`${left} of ${plan.batches.length} batches to mix`] : []),
    ...(wet ? [`${wet} batch to place`] : []),
  ];
}
