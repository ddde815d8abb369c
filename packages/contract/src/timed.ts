import { minutes } from '@kelmot/core/message/message';
import {
  m,
  MINUTE,
  planRound,
  type Hold,
  type Message,
  type Plan,
  type PlanBatch,
  type Step,
  type Timed,
} from '@kelmot/core';
import { judgeReading, type ReadingVerdict } from './judge';
import type { Reading, ReadingValues } from './records';

type TimedValues = Extract<ReadingValues, { kind: 'timed' }>;

/** What a step counts, how often it was started, and when the last count ends, epoch ms; null before the first. */
export interface Counted {
  timed: Timed;
  begun: number;
  ends: number | null;
}

/** The state of a step's count; null if it has none. */
export function countedOf(
  { id, timed }: Pick<Step, 'id' | 'timed'>,
  readings: readonly Pick<Reading, 'stepId' | 'values' | 'takenAt'>[],
): Counted | null {
  if (!timed) return null;
  const own = readings.filter((r) => r.stepId === id && r.values.kind === 'timed');
  const last = own.at(-1);
  const begun = Math.max(0, ...own.map((r) => (r.values as TimedValues).no));
  return { timed, begun, ends: last ? Date.parse(last.takenAt) + timed.minutes * MINUTE : null };
}

/**
 * The required number of counts once a batch of its round is placed: counts are shared between batches. Without a
 * batch, all of them.
 */
export function countsBy({ times }: Timed, plan: Plan, batch: PlanBatch | null): number {
  const batches = batch ? (planRound(plan, batch.round)?.batches ?? []) : [];
  const placed = batches.findIndex((b) => b.no === batch?.no) + 1;
  return placed > 0 ? Math.ceil((times * placed) / batches.length) : times;
}

/** The name of one count: its number, if there are several. */
export const countedName = ({ label, times }: Timed, no: number): Message =>
  times > 1 ? m('{label}, {no} of {times}', { label, no, times: Math.max(no, times) }) : label;

/** The text and verdict of a step's record: a started count, or a reading against its hold. */
export function judgeOfStep(
  { hold, timed }: Pick<Step, 'timed'> & { hold: Hold },
  values: ReadingValues,
  plan: Plan,
): ReadingVerdict {
  if (values.kind !== 'timed' || !timed) return judgeReading(hold, values, plan);
  const said = { name: countedName(timed, values.no), time: minutes(timed.minutes) };
  return { passed: true, say: m('{name}: {time} by the clock.', said) };
}
