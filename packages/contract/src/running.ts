import { asItRuns, type Running } from '@kelmot/core/run/asItRuns';
import type { Plan } from '@kelmot/core';
import { cureSeen, type CureRecord } from './cureRecord';
import { mixedBatches, type Recorded } from './done';

/** As it was last worked out for the readings of a repair: it is asked for with each tick of a clock. */
const known = new WeakMap<CureRecord['readings'], { of: Curing; running: Running }>();

type Curing = CureRecord & Pick<Recorded, 'mixes'>;

/**
 * The plan of a repair as it runs: its moments and waits by the temperatures that were seen. Null without a plan. All
 * clocks of a repair are read from this; what was planned stands in its plan.
 */
export function runningOf(view: Curing): Running | null {
  const { plan, readings, mixes } = view;
  if (!plan) return null;
  const before = known.get(readings);
  if (before?.of.plan?.body === plan.body && before.of.mixes === mixes) return before.running;
  const running = asItRuns(plan.body, cureSeen(view), mixedBatches(mixes));
  known.set(readings, { of: view, running });
  return running;
}

export const runningPlan = (view: Curing): Plan | null => runningOf(view)?.plan ?? null;
