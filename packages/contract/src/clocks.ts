import { m, planBatches, type Message, type Plan } from '@kelmot/core';
import { waitEnds, wetOf, type Recorded } from './done';
import { countedName, countedOf } from './timed';
import { pailStages } from './weighed';

/** A clock that somebody started in a repair: what it counts, when it is over, and what is told then. */
export interface StartedClock {
  /** The step it stands at; null for what is in the pail, which is of every step that empties it. */
  stepId: string | null;
  label: Message;
  /** Epoch ms. */
  at: number;
  /** What it counts goes on without anybody: a load that is held, a wrap under water. */
  urgent: boolean;
  over: Message;
}

/** Waits that steps ask for: drying, flashing off, soaking. */
const waits = (view: Recorded, { steps }: Plan): StartedClock[] =>
  steps.flatMap((step) => {
    const { id: stepId, title, hold } = step;
    const at = waitEnds(step, view);
    if (at === null || hold?.kind !== 'countdown') return [];
    const over = m('{title}: the wait is over.', { title });
    return [{ stepId, label: hold.label, at, urgent: false, over }];
  });

/** What is counted beside steps: a load that is held, a pass of the lamp. */
const counts = (view: Recorded, { steps }: Plan): StartedClock[] =>
  steps.flatMap((step) => {
    const counted = countedOf(step, view.readings);
    if (counted === null || counted.ends === null) return [];
    const label = countedName(counted.timed, counted.begun);
    const over = m('{title}: {label}, the time is over.', { title: step.title, label });
    return [{ stepId: step.id, label, at: counted.ends, urgent: true, over }];
  });

/** What the batch in the pail goes through before it is placed. */
function stages({ mixes }: Recorded, plan: Plan): StartedClock[] {
  const wet = wetOf(mixes);
  const batch = wet && planBatches(plan).find((b) => b.no === wet.batchNo);
  if (!wet || !batch) return [];
  return pailStages(plan, batch, wet).map(({ ends, label, then }) => {
    const over = m('Batch {no}: {label}, the time is over. {then}', { no: batch.no, label, then });
    return { stepId: null, label, at: ends, urgent: true, over };
  });
}

/** Every clock that was started by the record of a repair, over or not, the soonest first. */
export const startedClocks = (view: Recorded, plan: Plan): StartedClock[] =>
  [...waits(view, plan), ...counts(view, plan), ...stages(view, plan)].sort((p, q) => p.at - q.at);
