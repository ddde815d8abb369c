import { MINUTE } from '../units/clock';
import { momentOf, shownIn, type Zone } from '../units/zone';

/** A time axis with two scales: the near hours wide, then a break, then the far hours coarse. */
export interface Axis {
  x: (at: number) => number;
  width: number;
  breakX: number | null;
  nearTo: number;
  ticks: { at: number; x: number; label: string | null; long: boolean }[];
}

export interface AxisSpec {
  from: number;
  /** End of the near part and of the whole, epoch ms. Equal: one scale, no break. */
  nearTo: number;
  to: number;
  width: number;
  /** Share of the width for the near part. */
  nearShare: number;
  zone: Zone;
}

const STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 180, 360, 720, 1440, 2880, 7200, 14400, 43200];
const LABEL_PX = 62;
const TICK_PX = 9;

const two = (n: number) => String(n).padStart(2, '0');

function stepFor(msPerPx: number, px: number): number {
  return (STEPS.find((s) => (s * MINUTE) / msPerPx >= px) ?? 43200) * MINUTE;
}

function labelOf(at: number, stepMs: number, zone: Zone): string {
  const d = shownIn(at, zone);
  if (stepMs >= 1440 * MINUTE) return `${d.getUTCDate()}.${d.getUTCMonth() + 1}.`;
  if (stepMs >= 60 * MINUTE) return `${two(d.getUTCHours())} h`;
  return `${two(d.getUTCHours())}:${two(d.getUTCMinutes())}`;
}

function ticksIn({
  from,
  to,
  msPerPx,
  zone,
  x,
}: {
  from: number;
  to: number;
  msPerPx: number;
  zone: Zone;
  x: (at: number) => number;
}): Axis['ticks'] {
  const labelStep = stepFor(msPerPx, LABEL_PX);
  const small = stepFor(msPerPx, TICK_PX);
  const ticks: Axis['ticks'] = [];
  let last = from - 1;
  // Ticks are at round clock times, also across a change of summer time.
  for (let shown = Math.ceil(shownIn(from, zone).getTime() / small) * small; ; shown += small) {
    const at = momentOf(shown, zone);
    if (at > to) return ticks;
    if (at <= last) continue;
    last = at;
    const labelled = shown % labelStep === 0;
    ticks.push({
      at,
      x: x(at),
      label: labelled ? labelOf(at, labelStep, zone) : null,
      long: labelled,
    });
  }
}

/** Builds the axis. Moments outside are clamped to its ends, so that a bar never leaves its row. */
export function axisOf({ from, nearTo, to, width, nearShare, zone }: AxisSpec): Axis {
  const broken = to > nearTo;
  const nearWidth = broken ? width * nearShare : width;
  const nearMs = Math.max(1, nearTo - from);
  const farMs = Math.max(1, to - nearTo);
  const x = (at: number): number => {
    const held = Math.min(Math.max(at, from), to);
    if (held <= nearTo) return ((held - from) / nearMs) * nearWidth;
    return nearWidth + ((held - nearTo) / farMs) * (width - nearWidth);
  };
  const near = ticksIn({ from, to: nearTo, msPerPx: nearMs / nearWidth, zone, x });
  const far = broken
    ? ticksIn({ from: nearTo + 1, to, msPerPx: farMs / (width - nearWidth), zone, x })
    : [];
  return { x, width, breakX: broken ? nearWidth : null, nearTo, ticks: [...near, ...far] };
}
