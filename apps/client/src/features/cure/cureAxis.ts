import { axisOf, type Axis, type Strip, type Zone } from '@kelmot/core';

/** A cure that takes longer than the awaited milestone by this factor is drawn with two scales. */
const FAR = 1.6;
/** Share of the width after the awaited milestone. */
const ROOM = 0.06;

/**
 * The axis of one cure, from mixing to its last moment: wide until the awaited and planned moments, coarse after them.
 * A cure that has stopped has no end; null.
 */
export function cureAxis(
  strip: Strip,
  {
    cure: { plannedReady, stalled },
    now,
    width,
    zone,
  }: {
    cure: { plannedReady: number | undefined; stalled: boolean };
    now: number;
    width: number;
    zone: Zone;
  },
): Axis {
  const { start, ready, deadline } = strip;
  const planned = plannedReady ?? ready;
  const waited = stalled ? Math.max(planned, deadline) : Math.max(ready, planned);
  const near = Math.max(waited, now) + (Math.max(waited, now) - Math.min(start, now)) * ROOM;
  const to = stalled ? near : Math.max(strip.end, near);
  const from = Math.min(start, now) - (near - start) * 0.02;
  const isFar = to - from > FAR * (near - from);
  return axisOf({ from, nearTo: isFar ? near : to, to, width, nearShare: 0.76, zone });
}
