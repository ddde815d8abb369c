import { axisOf, MINUTE, type Axis } from '@kelmot/core';
import { zoneMin } from '@/ui/useNow';

/** The axis shared by a list: half an hour back, an hour and a quarter wide, then a day coarse. Now stands still on it. */
export function listAxis(now: number, width: number): Axis {
  const minute = Math.floor(now / MINUTE) * MINUTE;
  return axisOf({
    from: minute - 32 * MINUTE,
    nearTo: minute + 78 * MINUTE,
    to: minute + 30 * 60 * MINUTE,
    width,
    nearShare: 0.66,
    zoneMin: zoneMin(),
  });
}
