import {
  currentTask,
  countsBy,
  taskDone,
  lastRecord,
  mayMove,
  batchMoments,
  stepDone,
  waitEnd,
  waitsUntil,
  type RepairView,
} from '@kelmot/contract';
import {
  dayClockText,
  tasksOf,
  planRound,
  STATIONS,
  type Task,
  type Plan,
  type StationId,
  t,
} from '@kelmot/core';
import { useMemo, useState } from 'react';
import {
  useMixActions,
  useCount,
  batchName,
  useBatches,
  useHold,
  type HoldAct,
} from '@/features/stations';
import type { StationProps } from '@/shared/repair/stationProps';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';

/** The one action that a press does now. */
export interface Press {
  label: string;
  disabled: boolean;
  sign: 'tick' | 'next';
  testID: string;
  go: () => void;
}

/** The run sheet of a job: all tasks, the current one, and the one that is shown. */
export interface Run {
  tasks: Task[];
  /** The first task that is not done; null when all are done. */
  current: number | null;
  /** The task that is shown: the current one, unless somebody looks back or ahead. */
  shown: number | null;
  look: (at: number | null) => void;
}

export function useRun({
  view,
  plan,
  repair: { me },
}: Pick<StationProps, 'view' | 'plan' | 'repair'>): Run {
  const now = useNow();
  const tasks = useMemo(() => tasksOf(plan), [plan]);
  const current = currentTask(tasks, view, now);
  // The shown task is kept by its id, and released once it is current.
  const [looked, setLooked] = useState<string | null>(null);
  const currentId = current === null ? null : (tasks[current]?.id ?? null);
  const [lastId, setLastId] = useState(currentId);
  if (lastId !== currentId) {
    setLastId(currentId);
    const was = tasks.find((d) => d.id === lastId);
    const by = was && taskDone(was, { view, plan, now }) ? lastRecord(was, view)?.byId : undefined;
    // Somebody else did the task that is shown: it stays until this person goes on, so that nothing moves under a
    // thumb.
    if (was && looked === null && by !== undefined && by !== me?.id) setLooked(was.id);
  }
  const at = tasks.findIndex((d) => d.id === looked);
  const look = (to: number | null) =>
    setLooked(to === null || to === current ? null : (tasks[to]?.id ?? null));
  return { tasks, current, shown: at < 0 || at === current ? current : at, look };
}

/** The name of a task: its step, and the batch of its round where the step is done per batch. */
export function useTaskName(plan: Plan): (task: Task) => string {
  const { tell } = useWords();
  return ({ step, batch }) => {
    const round = batch && planRound(plan, batch.round);
    if (!round || !batch) return tell(step.title);
    const [title, of] = [tell(step.title), batchName(round, batch, tell)];
    if (step.name === 'mix') return t('Mix ({batch})', { batch: of });
    if (round.batches.length <= 1) return title;
    // A step may have the name of its round: "Mortar, 1 of 2".
    return title === tell(round.name) ? of : t('{step} ({batch})', { step: title, batch: of });
  };
}

/** Whether the current task is a running wait: the next task may then be done during it. */
const waiting = ({ tasks, current }: Run, { view }: StationProps, now: number): boolean => {
  const step = current === null ? undefined : tasks[current]?.step;
  const ends = step ? waitEnd(step, view) : null;
  return ends !== null && ends > now;
};

const isAhead = (station: StationId, view: RepairView): boolean =>
  STATIONS.indexOf(station) > STATIONS.indexOf(view.station);

/**
 * The timer that must run during a task, and a callback to continue without it; both null if no timer is needed.
 */
function useCounting({ id, step, batch }: Task, { view, plan, repair }: StationProps) {
  const count = useCount({ step, view, repair });
  // A person who uses another clock can continue without this timer.
  const [uncounted, setUncounted] = useState<string | null>(null);
  const due =
    count !== null && (count.runs || count.begun < countsBy(count.timed, plan, batch ?? null));
  const counting = due && uncounted !== id ? count : null;
  return { counting, letCountGo: counting && (() => setUncounted(id)) };
}

/** What the shown task needs, the one press that does it, and the way past a clock that somebody does not use. */
export function useTask(
  run: Run,
  task: Task,
  props: StationProps,
): { hold: HoldAct; press: Press; letCountGo: (() => void) | null } {
  const { view, plan, repair } = props;
  const now = useNow();
  const name = useTaskName(plan);
  const { say } = useWords();
  const { running } = useBatches(view, plan);
  const { start, placed, startLabel, held } = useMixActions(props);
  const { step, batch } = task;
  const hold = useHold({ ...props, step, batchNo: batch?.no ?? null });
  const { counting, letCountGo } = useCounting(task, props);

  const ahead = run.current !== null && (run.shown ?? 0) > run.current;
  const begin = (act: () => void) => () => {
    // The job's station follows the task that is done.
    if (isAhead(step.station, view) && mayMove(view, step.station, now) === null)
      repair.send({ type: 'station.move', station: step.station });
    act();
  };
  const go = (act: () => void) => () => {
    begin(act)();
    // Shows the next task; during a wait, the task after the one that was done.
    run.look(ahead ? (run.shown ?? 0) + 1 : run.current);
  };
  const press = (label: string, act: () => void, more: Partial<Press> = {}): Press => ({
    label,
    sign: 'tick',
    testID: 'run-do',
    go: go(act),
    ...more,
    disabled: more.disabled === true || !repair.canWrite,
  });
  const zone = useZone();
  const until = (at: number) => dayClockText(at, now, zone);
  const not = (label: string) => press(label, () => undefined, { disabled: true });

  const pressNow = (): Press => {
    const done = taskDone(task, { view, plan, now });
    if (done || (ahead && (batch !== null || !waiting(run, props, now)))) {
      const current = run.current === null ? undefined : run.tasks[run.current];
      return {
        label: current ? t('Back to: {name}', { name: name(current) }) : t('On to the sign-off'),
        disabled: false,
        sign: 'next',
        testID: 'run-back-to-current',
        go: () => run.look(run.current),
      };
    }
    const wait = waitsUntil(step, { view, plan, now });
    if (wait) return not(t('From {at}: {name}', { at: until(wait.at), name: name(task) }));
    if (batch && running?.batch.no !== batch.no)
      return press(startLabel, start, { disabled: held !== null, sign: 'next' });
    // Past its working life a batch must not be used, whatever the next task is.
    if (running && batch && now > batchMoments(plan, running.batch, running.mix).ends)
      return press(t('Throw this batch away: working life is over'), () =>
        repair.send({ type: 'mix.binned', mixId: running.mix.id }),
      );
    const ends = waitEnd(step, view);
    if (ends !== null && ends > now) return not(t('Wait until {ends}', { ends: until(ends) }));
    if (counting?.runs) return not(counting.waitLabel);
    if (counting)
      return press(counting.startLabel, () => undefined, {
        sign: 'next',
        go: begin(counting.start),
      });
    const ticks = step.hold?.kind === 'check';
    const round = batch && planRound(plan, batch.round);
    if (round && batch && task.empties && (ticks || stepDone(step, view, now)))
      return press(t('Placed: {batch}', { batch: batchName(round, batch, say) }), () => {
        if (ticks) hold.act();
        placed();
      });
    const label = batch && ticks ? t('Done: {name}', { name: name(task) }) : hold.label;
    return press(label, hold.act, { sign: hold.sign });
  };
  return { hold, press: pressNow(), letCountGo };
}

/** The props of the parts of a task. */
export type TaskProps = StationProps & { run: Run; task: Task } & ReturnType<typeof useTask>;
