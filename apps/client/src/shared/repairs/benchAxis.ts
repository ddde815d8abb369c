import { axisOf, MINUTE, type Axis, type Strip, type Zone } from '@kelmot/core';

/** The axis of a list: half an hour back, an hour and a quarter wide, then a day coarse. Now has a fixed place. */
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

/** A working life shorter than this is too small on the shared axis, ms. */
const SHORT_MS = 60 * MINUTE;

/**
 * A separate axis for the main clock while its working life is short: the working life wide, the rest of the cure
 * coarse.
 */
export function ownAxis(
  strip: Strip,
  { now, width, zone }: { now: number; width: number; zone: Zone },
): Axis | null {
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
