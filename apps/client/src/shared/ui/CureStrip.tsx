import type { Axis, Strip } from '@kelmot/core';
import { HOUR, stripText, t } from '@kelmot/core';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { Hatches } from './hatches';
import { useTheme } from './theme';
import { useZone } from './useZone';
import {
  BreakMark,
  Needle,
  DeadlineNotch,
  Stretches,
  PlannedBand,
  WindowMark,
} from './cureStripParts';

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
          <PlannedBand plannedReady={plannedReady} left={left} y={y} x={x} height={height} c={c} />
        )}
        <Stretches
          strip={strip}
          x={x}
          nowX={nowX}
          y={y}
          height={height}
          id={id}
          c={c}
          left={left}
        />
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
          <DeadlineNotch
            deadlineX={deadlineX}
            strip={strip}
            y={y}
            notch={notch}
            c={c}
            height={height}
          />
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
          <Needle needle={needle} nowX={nowX} y={y} height={height} c={c} />
        ) : null}
      </Svg>
    </View>
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
    <View role="img" aria-label={t('Now {label}', { label })}>
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
