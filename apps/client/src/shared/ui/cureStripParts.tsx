import type { CureState, Strip } from '@kelmot/core';
import { G, Line, Path, Rect } from 'react-native-svg';
import type { Colours } from './tokens.cjs';

/** How far the plan's band extends above and below the bar, px. */
const BAND = 5;

/** A period of one state. Left of now it has happened and is full; right of now it is pale. */
export function Stretch({
  state,
  x,
  width,
  y,
  height,
  past,
  id,
  c,
}: {
  state: CureState;
  x: number;
  width: number;
  y: number;
  height: number;
  past: boolean;
  id: string;
  c: Colours;
}) {
  if (width <= 0) return null;
  const common = { x, width };
  if (state === 'wet')
    return (
      <Rect
        {...common}
        y={y}
        height={height}
        fill={past ? `url(#${id}-wet-row)` : `url(#${id}-wet-future)`}
      />
    );
  if (state === 'late') return <Rect {...common} y={y} height={height} fill={`url(#${id}-late)`} />;
  const solid = past ? c.moss : c.mossPale;
  if (state === 'set') return <Rect {...common} y={y} height={height} fill={solid} />;
  return (
    <>
      <Rect {...common} y={y} height={height} fill={past ? c.mossTint : c.sheet} />
      <Rect {...common} y={y + height / 2} height={height / 2} fill={solid} />
    </>
  );
}

export function BreakMark({
  x,
  top,
  bottom,
  c,
}: {
  x: number;
  top: number;
  bottom: number;
  c: Colours;
}) {
  const mid = (top + bottom) / 2;
  const zig = (at: number) => `M${at} ${top - 4}L${at} ${mid - 4}l4 3-8 3 4 3L${at} ${bottom + 4}`;
  return (
    <G>
      <Path
        d={`M${x - 3} ${top - 3}L${x + 3} ${top - 3}L${x + 3} ${bottom + 3}L${x - 3} ${bottom + 3}Z`}
        fill={c.sheet}
      />
      <Path d={`${zig(x - 3)}${zig(x + 3)}`} stroke={c.ink} strokeWidth={1} fill="none" />
    </G>
  );
}

export function Needle({
  needle,
  nowX,
  y,
  height,
  c,
}: {
  needle: 'full' | 'line';
  nowX: number;
  y: number;
  height: number;
  c: Colours;
}) {
  return (
    <>
      <Line
        x1={nowX}
        y1={needle === 'full' ? y - 6 : y - 3}
        x2={nowX}
        y2={y + height + (needle === 'full' ? 6 : 3)}
        stroke={c.ink}
        strokeWidth={2}
      />
      {needle === 'full' ? <Path d={`M${nowX - 5} ${y - 12}h10l-5 6Z`} fill={c.ink} /> : null}
    </>
  );
}

export function DeadlineNotch({
  deadlineX,
  strip,
  y,
  notch,
  c,
  height,
}: {
  deadlineX: number;
  strip: Strip;
  y: number;
  notch: number;
  c: Colours;
  height: number;
}) {
  return (
    <>
      <Path
        d={`M${deadlineX - 5} ${y}L${deadlineX} ${y + notch}L${deadlineX + 5} ${y}Z`}
        fill={c.sheet}
        stroke={strip.late ? c.oxide : c.ink}
        strokeWidth={1.25}
      />
      <Line
        x1={deadlineX}
        y1={y + notch}
        x2={deadlineX}
        y2={y + height + 4}
        stroke={strip.late ? c.oxide : c.ink}
        strokeWidth={1.25}
      />
    </>
  );
}

export function Stretches({
  strip,
  x,
  nowX,
  y,
  height,
  id,
  c,
  left,
}: {
  strip: Strip;
  x: (at: number) => number;
  nowX: number;
  y: number;
  height: number;
  id: string;
  c: Colours;
  left: number;
}) {
  return (
    <>
      {strip.segments.map(({ state, from, to }) => {
        const [a, b] = [x(from), x(to)];
        const split = Math.min(Math.max(nowX, a), b);
        return (
          <G key={state}>
            <Stretch
              state={state}
              x={a}
              width={split - a}
              y={y}
              height={height}
              past
              id={id}
              c={c}
            />
            <Stretch
              state={state}
              x={split}
              width={b - split}
              y={y}
              height={height}
              past={false}
              id={id}
              c={c}
            />
            {a > left + 1 ? (
              <Line x1={a} y1={y} x2={a} y2={y + height} stroke={c.ink} strokeWidth={1} />
            ) : null}
          </G>
        );
      })}
    </>
  );
}

export function PlannedBand({
  plannedReady,
  left,
  y,
  x,
  height,
  c,
}: {
  plannedReady: number;
  left: number;
  y: number;
  x: (at: number) => number;
  height: number;
  c: Colours;
}) {
  return (
    <Rect
      testID="planned-band"
      x={left}
      y={y - BAND}
      width={Math.max(1, x(plannedReady) - left)}
      height={height + 2 * BAND}
      fill={c.rule}
      stroke={c.pencil}
      strokeWidth={0.75}
    />
  );
}

/** The overcoat window, as a dimension line above the bar. */
export function WindowMark({
  from,
  to,
  y,
  colour,
  heavy,
}: {
  from: number;
  to: number;
  y: number;
  colour: string;
  heavy: boolean;
}) {
  const slash = (at: number) => `M${at - 4} ${y + 4}l8-8`;
  return (
    <G>
      <Line x1={from} y1={y} x2={to} y2={y} stroke={colour} strokeWidth={heavy ? 2.2 : 1.2} />
      <Path d={`${slash(from)}${slash(to)}`} stroke={colour} strokeWidth={heavy ? 2.2 : 1.2} />
      <Path d={`M${from} ${y}v8M${to} ${y}v8`} stroke={colour} strokeWidth={0.75} />
    </G>
  );
}
