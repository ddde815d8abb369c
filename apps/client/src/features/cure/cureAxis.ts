import { axisOf, type Axis, type Strip, type Zone } from '@kelmot/core';

/** How much longer than what is waited for a cure must be, to be drawn at two speeds. */
const FAR = 1.6;
/** What is left beyond what is waited for, as a share. */
const ROOM = 0.06;

/**
 * The axis of one cure, from its mix to its last moment: to what is waited for and was planned wide, what comes after that
 * coarse. One that stands still has no end to be drawn to.
 */
export function cureAxis(
  strip: Strip,
  { plannedReady, stalled }: { plannedReady: number | undefined; stalled: boolean },
  now: number,
  width: number,
  zone: Zone,
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
