import { joined } from '@kelmot/core/message/message';
import {
  dayClockText,
  tasksOf,
  planSummaryOf,
  m,
  nextAction,
  STATION_NAMES,
  word,
  type Message,
  type Zone,
} from '@kelmot/core';
import { mixedBatches } from './done';
import { currentTask } from './tasks';
import { isOfHandover } from './handoverRecord';
import type { RepairView } from './repair';
import { runningPlan } from './running';
import { MARK_NAMES, storyOf } from './story';
import { repeatReason, repeatText, closingWindows, waitsUntil } from './windows';

/** The handover of a job, made from its record. */
export interface Handover {
  /** The state: how much is done, by whom last, and the next task. */
  stands: Message[];
  /** Open batches, cures and waits, with their clocks. */
  wet: Message[];
  /** Windows that close, soonest first. */
  closes: Message[];
  /** What was left too long and must be repeated first. */
  again: Message[];
  /** What needs attention: failed readings, late batches, overrides, undone ticks. */
  watch: Message[];
}

/** Most items that need attention: the latest. */
const MOST_WATCHED = 6;

/** Two rounds with the same wait and name are told once. */
const once = (lines: readonly Message[]): Message[] => [
  ...new Map(lines.map((line) => [word(line), line])).values(),
];

function standsAt(view: RepairView, now: number, zone: Zone): Message[] {
  const plan = view.plan?.body;
  // A handover is not work.
  const work = view.readings.filter((r) => !isOfHandover(r.values));
  const last = storyOf({ ...view, readings: work }).at(-1);
  const done = last
    ? [
        m('Last done: {title}, {at}, {by}.', {
          title: last.title,
          at: dayClockText(Date.parse(last.at), now, zone),
          by: last.by,
        }),
      ]
    : [];
  if (!plan) return [...done, m('It has no plan yet: choose a system at Match.')];
  const tasks = tasksOf(plan);
  const at = currentTask(tasks, view, now);
  const next = at === null ? undefined : tasks[at];
  if (!next)
    return [
      ...done,
      view.status === 'closed'
        ? m('Signed off.')
        : m('All steps are done. The signature is missing.'),
    ];
  const wait = waitsUntil(next.step, { view, plan, now });
  const { title } = next.step;
  return [
    ...done,
    m('{done} of {all} done. Next, at {station}: {title}.', {
      done: at ?? 0,
      all: tasks.length,
      station: STATION_NAMES[next.step.station],
      title: next.batch ? m('{title}, batch {no}', { title, no: next.batch.no }) : title,
    }),
    ...(wait
      ? [m('Not before {at}. {why}', { at: dayClockText(wait.at, now, zone), why: wait.why })]
      : []),
  ];
}

/**
 * What to tell at a stop or change of shift, from the record and the clocks at `now`, epoch ms, in the local time of
 * `zone`. Empty parts have nothing to tell.
 */
export function handoverOf(view: RepairView, now: number, zone: Zone): Handover {
  const plan = view.plan?.body;
  const runs = runningPlan(view);
  const act = runs
    ? nextAction(planSummaryOf(runs), mixedBatches(view.mixes), { now, zone })
    : null;
  const running = view.status === 'open' && act && act.phase !== 'ready';
  const again = (plan?.steps ?? []).flatMap((step) => {
    const why = plan && repeatReason(step, { view, plan, now });
    return why ? [repeatText(step, why)] : [];
  });
  const watch = storyOf(view).flatMap(({ title, say, mark, at }) => {
    if (!mark) return [];
    const seen = m('{mark}: {title}, {at}.', {
      mark: MARK_NAMES[mark],
      title,
      at: dayClockText(Date.parse(at), now, zone),
    });
    return [say ? joined([seen, say]) : seen];
  });
  return {
    stands: standsAt(view, now, zone),
    wet: running ? [act.say, act.second] : [],
    closes: once(
      closingWindows(view, now).map(({ at, to, why }) =>
        m('By {at}: {title}. {why}', { at: dayClockText(at, now, zone), title: to.title, why }),
      ),
    ),
    again,
    watch: watch.slice(-MOST_WATCHED),
  };
}
