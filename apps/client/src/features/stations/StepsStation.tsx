import { openHolds, type RepairView } from '@kelmot/contract';
import { STATION_NAMES, STATIONS, type Plan, type StationId } from '@kelmot/core';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import type { OpenRepair } from '@/features/repair/useRepair';
import { PrimaryButton } from '@/ui/Button';
import { useNow } from '@/ui/useNow';

export interface StationProps {
  id: string;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}

/** Moves on to the next station: closed while a hold is open, and saying which. */
export function MoveOn({
  station,
  next,
  id,
  view,
  repair,
}: StationProps & { station: StationId; next: StationId }): ReactNode {
  const upTo = STATIONS.slice(0, STATIONS.indexOf(next));
  const now = useNow(5000);
  const open = upTo.flatMap((s) => openHolds(view, s, now));
  const ahead = STATIONS.indexOf(view.station) >= STATIONS.indexOf(next);
  const go = () => {
    if (!ahead && repair.canWrite) repair.send({ type: 'station.move', station: next });
    router.navigate(`/repair/${id}/${next}`);
  };
  if (open.length > 0 && !ahead) {
    const here = openHolds(view, station, now);
    const first = here[0] ?? open[0];
    return (
      <PrimaryButton
        label={`${open.length} to do first: ${first?.toLowerCase() ?? ''}`}
        disabled
        onPress={go}
        testID="move-on"
      />
    );
  }
  return <PrimaryButton label={`On to ${STATION_NAMES[next]}`} onPress={go} testID="move-on" />;
}
