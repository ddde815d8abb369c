import type { Axis, CureState, Strip } from '@kelmot/core';
import { HOUR, stripText } from '@kelmot/core';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { Hatches } from './hatches';
import { useTheme } from './theme';
import type { Colours } from './tokens.cjs';
import { useZone } from './useZone';

interface StripProps {
  strip: Strip;
  axis: Axis;
  now: number;
  height: number;
  /** Shows the overcoat window above the bar. */
  withWindow?: boolean;
  /** The planned time of readiness: a band behind the bar. */
  plannedReady?: number;
  needle?: 'full' | 'line';
}

/** The hatches of a strip. */
const OF_STRIP = ['wet-row', 'wet-future', 'late'];
const ABOVE = 14;
const BELOW = 6;
/** How far the plan's band extends above and below the bar, px. */
const BAND = 5;

/** A period of one state. Left of now it has happened and is full; right of now it is pale. */
function Stretch({
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

function BreakMark({ x, top, bottom, c }: { x: number; top: number; bottom: number; c: Colours }) {
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

/** The time bar: wet hatched, curing half, set solid, a needle at now, a notch at the deadline. */
export function CureStrip({
  strip,
  axis,
  now,
  height,
  withWindow = false,
  plannedReady,
  needle = 'full',
}: StripProps) {
  const zone = useZone();
  const { c } = useTheme();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const y = ABOVE;
  const { x, width } = axis;
  const left = x(strip.start);
  const right = x(strip.end);
  const nowX = x(now);
  const deadlineX = x(strip.deadline);
  const notch = height * 0.6;
  const isWindow = withWindow && strip.window !== null && now < strip.window.to;
  const closing = isWindow && strip.window !== null && strip.window.to - now < HOUR;
  const windowInk = closing ? c.ochreInk : c.ink;
  return (
    <View role="img" aria-label={stripText(strip, now, zone)} testID="cure-strip">
      <Svg width={width} height={height + ABOVE + BELOW}>
        <Hatches id={id} c={c} of={OF_STRIP} />
        {plannedReady === undefined ? null : (
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
        )}
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
        <Rect
          x={left}
          y={y}
          width={Math.max(1, right - left)}
          height={height}
          fill="none"
          stroke={c.ink}
          strokeWidth={1}
        />
        {axis.breakX !== null && axis.breakX > left && axis.breakX < right ? (
          <BreakMark x={axis.breakX} top={y} bottom={y + height} c={c} />
        ) : null}
        {deadlineX < width - 0.5 || strip.late ? (
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
        ) : null}
        {isWindow && strip.window ? (
          <WindowMark
            from={x(strip.window.from)}
            to={x(strip.window.to)}
            y={y - 8}
            colour={windowInk}
            heavy={closing}
          />
        ) : null}
        {now >= strip.start || needle === 'line' ? (
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
        ) : null}
      </Svg>
    </View>
  );
}

/** The overcoat window, as a dimension line above the bar. */
function WindowMark({
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

/** The ruler above a list of strips: ticks, hours, and a flag at now. */
export function AxisRuler({
  axis,
  now,
  label,
  flag = true,
}: {
  axis: Axis;
  now: number;
  label: string;
  flag?: boolean;
}) {
  const { c } = useTheme();
  const nowX = axis.x(now);
  const flagWidth = 66;
  // The flag points back in time, or forward where there is no room.
  const flies = nowX < flagWidth ? 1 : -1;
  const base = 46;
  const hidden = (x: number) =>
    (flag && Math.abs(x - nowX - (flies * flagWidth) / 2) < flagWidth / 2 + 24) ||
    (axis.breakX !== null && Math.abs(x - axis.breakX) < 22) ||
    x > axis.width - 14 ||
    x < 12;
  return (
    <View role="img" aria-label={`Now ${label}`}>
      <Svg width={axis.width} height={base + 6}>
        <Line x1={0} y1={base} x2={axis.width} y2={base} stroke={c.ink} strokeWidth={1.25} />
        {axis.ticks.map((t) => (
          <G key={t.at}>
            <Line
              x1={t.x}
              y1={base}
              x2={t.x}
              y2={base - (t.long ? 12 : 6)}
              stroke={c.ink}
              strokeWidth={t.long ? 1.25 : 0.75}
            />
            {t.label && !hidden(t.x) ? (
              <SvgText
                x={t.x}
                y={base - 18}
                fontFamily="BarlowSemiCondensed_500Medium"
                fontSize={16}
                textAnchor="middle"
                fill={c.pencil}
              >
                {t.label}
              </SvgText>
            ) : null}
          </G>
        ))}
        {axis.breakX !== null ? (
          <BreakMark x={axis.breakX} top={base - 5} bottom={base + 3} c={c} />
        ) : null}
        {flag ? (
          <>
            <Path
              d={`M${nowX} 8h${flies * flagWidth}l${-flies * 8} 11 ${flies * 8} 11h${-flies * flagWidth}Z`}
              fill={c.ink}
            />
            <SvgText
              x={nowX + flies * (flagWidth / 2 - 5)}
              y={25}
              fontFamily="BarlowSemiCondensed_700Bold"
              fontSize={16}
              textAnchor="middle"
              fill={c.sheet}
            >
              {label}
            </SvgText>
            <Line x1={nowX} y1={8} x2={nowX} y2={base + 6} stroke={c.ink} strokeWidth={2} />
          </>
        ) : null}
      </Svg>
    </View>
  );
}
