import { axisOf, MINUTE, type Axis, type Strip, type Zone } from '@kelmot/core';

/** The axis shared by a list: half an hour back, an hour and a quarter wide, then a day coarse. Now stands still on it. */
export function listAxis(now: number, width: number, zone: Zone): Axis {
  const minute = Math.floor(now / MINUTE) * MINUTE;
  return axisOf({
    from: minute - 32 * MINUTE,
    nearTo: minute + 78 * MINUTE,
    to: minute + 30 * 60 * MINUTE,
    width,
    nearShare: 0.66,
    zone,
  });
}

/** A working life shorter than this is crushed on the shared axis. */
const SHORT_MS = 60 * MINUTE;

/** An axis of its own for what rules the screen while its life is short: the life wide, the rest of the cure coarse. */
export function ownAxis(strip: Strip, now: number, width: number, zone: Zone): Axis | null {
  const lifeEnds = strip.segments[1]?.to;
  if (lifeEnds === undefined || lifeEnds < now || lifeEnds - strip.start > SHORT_MS) return null;
  const life = lifeEnds - strip.start;
  return axisOf({
    from: strip.start - life * 0.08,
    nearTo: lifeEnds + life * 0.1,
    to: strip.end,
    width,
    nearShare: 0.8,
    zone,
  });
}
