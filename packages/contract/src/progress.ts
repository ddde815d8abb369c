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

const MINUTE = 60_000;

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

/** Steps of a station that still hold the job, in order. For Mix, batches not yet mixed and placed hold as well. */
export function openHolds(view: Recorded, station: StationId, now: number): string[] {
  const plan = view.plan?.body;
  if (!plan) return [];
  const steps = plan.steps
    .filter((s) => s.station === station && !stepDone(s, view, now))
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
