import type { StationProps } from '@/shared/repair/stationProps';
import { atHand, mayMove, type Held } from '@kelmot/contract';
import { deedsOf, STATION_NAMES, STATIONS, type Message, type StationId } from '@kelmot/core';
import { router } from 'expo-router';
import { useMemo, type ReactNode } from 'react';
import { PrimaryButton } from '@/shared/ui/Button';
import { lowered } from '@/shared/ui/lowered';
import { useWords } from '@/shared/ui/useWords';
import { useNowOf } from './useNowOf';

/** The text of a button that a gate holds: what to do first, or what prevents it. */
export function heldText({ by, title, why }: Held, say: (message: Message) => string): string {
  const [first] = why;
  if (by === 'open') return `${why.length} to do first: ${first ? lowered(say(first)) : ''}`;
  if (by === 'cure' && first) return say(first).replace(/\.$/, '');
  return say(title);
}

/** Opens the run sheet; names the current step. */
export function ToRun({ id, view, plan }: StationProps): ReactNode {
  const now = useNowOf(view);
  const { say } = useWords();
  const deeds = useMemo(() => deedsOf(plan), [plan]);
  const at = atHand(deeds, view, now);
  const deed = at === null ? undefined : deeds[at];
  const left = deeds.length - (at ?? deeds.length);
  return (
    <PrimaryButton
      label={deed ? `Run, ${left} to do: ${lowered(say(deed.step.title))}` : 'Run: sign off'}
      onPress={() => router.navigate(`/repair/${id}/run`)}
      testID="to-run"
    />
  );
}

/** Goes to the next station; while a hold is open, goes to its step. */
export function MoveOn({ next, ...props }: StationProps & { next: StationId }): ReactNode {
  const { id, view, repair } = props;
  const now = useNowOf(view);
  const gate = mayMove(view, next, now);
  const ahead = STATIONS.indexOf(view.station) >= STATIONS.indexOf(next);
  const go = () => {
    if (!ahead && repair.canWrite) repair.send({ type: 'station.move', station: next });
    router.navigate(`/repair/${id}/${next}`);
  };
  if (gate) return <ToRun {...props} />;
  return <PrimaryButton label={`On to ${STATION_NAMES[next]}`} onPress={go} testID="move-on" />;
}
