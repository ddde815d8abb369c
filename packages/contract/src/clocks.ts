import { m, planBatches, type Message, type Plan } from '@kelmot/core';
import { waitEnd, openBatchOf, type Recorded } from './done';
import { countedName, countedOf } from './timed';
import { batchStages } from './weighed';

/** A clock that somebody started in a repair: what it counts, its end, and its message. */
export interface StartedClock {
  /** Its step; null for the open batch, which belongs to every step that uses it. */
  stepId: string | null;
  label: Message;
  /** Epoch ms. */
  at: number;
  /** It runs without anybody: a held load, a wrap under water. */
  urgent: boolean;
  over: Message;
}

/** Waits of steps: drying, flash-off, soaking. */
const waits = (view: Recorded, { steps }: Plan): StartedClock[] =>
  steps.flatMap((step) => {
    const { id: stepId, title, hold } = step;
    const at = waitEnd(step, view);
    if (at === null || hold?.kind !== 'countdown') return [];
    const over = m('{title}: the wait is over.', { title });
    return [{ stepId, label: hold.label, at, urgent: false, over }];
  });

/** Counts at steps: a held load, a pass of the lamp. */
const counts = (view: Recorded, { steps }: Plan): StartedClock[] =>
  steps.flatMap((step) => {
    const counted = countedOf(step, view.readings);
    if (counted === null || counted.ends === null) return [];
    const label = countedName(counted.timed, counted.begun);
    const over = m('{title}: {label}, the time is over.', { title: step.title, label });
    return [{ stepId: step.id, label, at: counted.ends, urgent: true, over }];
  });

/** The stages of the open batch before placing. */
function stages({ mixes }: Recorded, plan: Plan): StartedClock[] {
  const wet = openBatchOf(mixes);
  const batch = wet && planBatches(plan).find((b) => b.no === wet.batchNo);
  if (!wet || !batch) return [];
  return batchStages(plan, batch, wet).map(({ ends, label, then }) => {
    const over = m('Batch {no}: {label}, the time is over. {then}', { no: batch.no, label, then });
    return { stepId: null, label, at: ends, urgent: true, over };
  });
}

/** Every clock that a repair's record started, ended or not, soonest first. */
export const startedClocks = (view: Recorded, plan: Plan): StartedClock[] =>
  [...waits(view, plan), ...counts(view, plan), ...stages(view, plan)].sort((p, q) => p.at - q.at);
