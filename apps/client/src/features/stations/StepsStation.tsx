import { openHolds, type RepairView } from '@kelmot/contract';
import { STATION_NAMES, STATIONS, type Message, type Plan, type StationId } from '@kelmot/core';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import type { OpenRepair } from '@/features/repair/useRepair';
import { PrimaryButton } from '@/ui/Button';
import { useNow } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';

export interface StationProps {
  id: string;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}

/** How many things are open, and the first of them. */
export const firstOf = (open: readonly Message[], say: (message: Message) => string): string =>
  `${open.length} to do first: ${open[0] ? lowered(say(open[0])) : ''}`;

/** The same within a sentence. */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Moves on to the next station: closed while a hold is open, and saying which. */
export function MoveOn({ next, id, view, repair }: StationProps & { next: StationId }): ReactNode {
  const now = useNow(5000);
  const { say } = useWords();
  const open = openHolds(view, next, now);
  const ahead = STATIONS.indexOf(view.station) >= STATIONS.indexOf(next);
  const go = () => {
    if (!ahead && repair.canWrite) repair.send({ type: 'station.move', station: next });
    router.navigate(`/repair/${id}/${next}`);
  };
  if (open.length > 0 && !ahead)
    return <PrimaryButton label={firstOf(open, say)} disabled onPress={go} testID="move-on" />;
  return <PrimaryButton label={`On to ${STATION_NAMES[next]}`} onPress={go} testID="move-on" />;
}
