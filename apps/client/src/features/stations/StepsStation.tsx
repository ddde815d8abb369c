import type { StationProps } from '@/shared/repair/stationProps';
import { currentTask, mayMove, type GateRefusal } from '@kelmot/contract';
import { tasksOf, STATION_NAMES, STATIONS, type Message, type StationId, t } from '@kelmot/core';
import { router } from 'expo-router';
import { useMemo, type ReactNode } from 'react';
import { PrimaryButton } from '@/shared/ui/Button';
import { useWords } from '@/shared/ui/useWords';
import { useGateTime } from './useGateTime';

/** The text of a button that a gate holds: what to do first, or what prevents it. */
export function heldText(
  { by, title, why }: GateRefusal,
  say: (message: Message) => string,
): string {
  const [first] = why;
  if (by === 'open')
    return t('{count} to do first: {first}', { count: why.length, first: first ? say(first) : '' });
  if (by === 'cure' && first) return say(first).replace(/\.$/, '');
  return say(title);
}

/** Opens the run sheet; names the current step. */
export function OpenRunSheet({ id, view, plan }: StationProps): ReactNode {
  const now = useGateTime(view);
  const { say } = useWords();
  const tasks = useMemo(() => tasksOf(plan), [plan]);
  const at = currentTask(tasks, view, now);
  const task = at === null ? undefined : tasks[at];
  const left = tasks.length - (at ?? tasks.length);
  return (
    <PrimaryButton
      label={
        task
          ? t('Run, {left} to do: {title}', { left, title: say(task.step.title) })
          : t('Run: sign off')
      }
      onPress={() => router.navigate(`/repair/${id}/run`)}
      testID="to-run"
    />
  );
}

/** Goes to the next station; while a hold is open, goes to its step. */
export function MoveOn({ next, ...props }: StationProps & { next: StationId }): ReactNode {
  const { id, view, repair } = props;
  const now = useGateTime(view);
  const gate = mayMove(view, next, now);
  const ahead = STATIONS.indexOf(view.station) >= STATIONS.indexOf(next);
  const go = () => {
    if (!ahead && repair.canWrite) repair.send({ type: 'station.move', station: next });
    router.navigate(`/repair/${id}/${next}`);
  };
  if (gate) return <OpenRunSheet {...props} />;
  return (
    <PrimaryButton
      label={t('On to {station}', { station: STATION_NAMES[next] })}
      onPress={go}
      testID="move-on"
    />
  );
}
