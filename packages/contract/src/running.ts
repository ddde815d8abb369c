import { runPlan, type Running } from '@kelmot/core/run/runPlan';
import type { Plan } from '@kelmot/core';
import { cureReadings, type CureRecord } from './cureRecord';
import { mixedBatches, type Recorded } from './done';

/** Cache of the running plan by readings: every tick of a clock asks for it. */
const known = new WeakMap<CureRecord['readings'], { of: Curing; running: Running }>();

type Curing = CureRecord & Pick<Recorded, 'mixes'>;

/**
 * A repair's running plan: its milestones and waits by the measured temperatures. Null without a plan. All clocks of a
 * repair use it; its plan keeps the planned times.
 */
export function runningOf(view: Curing): Running | null {
  const { plan, readings, mixes } = view;
  if (!plan) return null;
  const before = known.get(readings);
  if (before?.of.plan?.body === plan.body && before.of.mixes === mixes) return before.running;
  const running = runPlan(plan.body, cureReadings(view), mixedBatches(mixes));
  known.set(readings, { of: view, running });
  return running;
}

export const runningPlan = (view: Curing): Plan | null => runningOf(view)?.plan ?? null;
