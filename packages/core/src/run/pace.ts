import { m, minutes, type Message } from '../message/message';
import { roughDuration } from '../message/roughly';
import { usableMinutes, type Plan } from '../plan/plan';
import { dayClockText } from '../schedule/clock';
import type { Zone } from '../units/zone';
import { MINUTE } from '../units/clock';
import type { Task } from './tasks';
import { planSummaryOf } from './planSummaryOf';
import { curedAt, type MixedBatch } from './nextAction';

/** How a job stands against its plan during one task. */
export interface Pace {
  /** Minutes behind the plan; negative: ahead. */
  behindMin: number;
  say: Message;
  /** Whether it is back before the plant needs it. */
  inTime: boolean;
  /** The open batch: its remaining working life against the remaining work with it. Null if there is none. */
  batch: { spareMin: number; say: Message } | null;
}

/** A smaller difference counts as on time, minutes. */
const ON_TIME = 1;

/** Remaining work with a task's batch, from this task on, minutes of the plan. */
function leftWith(tasks: readonly Task[], at: Task): number {
  const own = tasks.filter((d) => d.batch?.no === at.batch?.no && d.fromMin >= at.fromMin);
  return own.reduce((sum, d) => sum + d.toMin - d.fromMin, 0);
}

function openBatchTime(
  tasks: readonly Task[],
  { at, mixes, now }: { at: Task; mixes: readonly MixedBatch[]; now: number },
): Pace['batch'] {
  const { batch } = at;
  const open =
    batch && mixes.find((x) => x.batchNo === batch.no && !x.binned && x.placedAt === null);
  if (!open) return null;
  // How much of this task is done is unknown: all of it counts, so that the warning comes early.
  const need = leftWith(tasks, at);
  const left = (open.startedAt - now) / MINUTE + usableMinutes(batch);
  const spareMin = left - need;
  const values = { left: minutes(Math.max(0, left)), need: minutes(need) };
  return {
    spareMin,
    say:
      left <= 0
        ? m('Placing time is over: stop using this batch.')
        : spareMin >= 0
          ? m('{left} of working life left for {need} of work.', values)
          : m(
              '{left} of working life left for {need} of work: get a helper, or throw away what cannot be placed.',
              values,
            ),
  };
}

/**
 * How far ahead or behind the job is, and the effect on its return to service and on the open batch. A task inside its
 * own slot is on time. `now` in epoch ms, zone in minutes east of UTC; `notBefore` is when a wait lets the task begin.
 */
export function paceOf(
  plan: Plan,
  {
    tasks,
    at,
    mixes,
    now,
    zone,
    notBefore = now,
  }: {
    tasks: readonly Task[];
    at: Task;
    mixes: readonly MixedBatch[];
    now: number;
    zone: Zone;
    notBefore?: number;
  },
): Pace {
  const summary = planSummaryOf(plan);
  const since = (Math.max(now, notBefore) - summary.startAt) / MINUTE;
  const behindMin =
    since > at.toMin ? since - at.toMin : since < at.fromMin ? since - at.fromMin : 0;
  const planned = summary.startAt + (plan.readyMin + behindMin) * MINUTE;
  const ready = Math.max(curedAt(summary, mixes) ?? planned, now);
  const inTime = ready <= summary.deadline;
  const spare = Math.abs(summary.deadline - ready) / MINUTE;
  const state = behindMin > ON_TIME ? 'behind' : behindMin < -ON_TIME ? 'ahead' : 'even';
  return {
    behindMin,
    inTime,
    say: m(
      '{state, select, behind {{by} behind the plan} ahead {{by} ahead of the plan} other {On time}}: back in service {ready}, {inTime, select, yes {{spare} early} other {{spare} late}}.',
      {
        state,
        by: minutes(Math.abs(behindMin)),
        ready: dayClockText(ready, now, zone),
        inTime: inTime ? 'yes' : 'no',
        spare: roughDuration(spare),
      },
    ),
    batch: openBatchTime(tasks, { at, mixes, now }),
  };
}
