import type { Colours } from '@/shared/ui/tokens.cjs';
import { MINUTE, formatQuantity, type Axis, t } from '@kelmot/core';
import type { CureForecast, CureReadings } from '@kelmot/core/run/runPlan';
import { View } from 'react-native';
import Svg, { Line, Path, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/shared/ui/theme';
import { useWords } from '@/shared/ui/useWords';

const HEIGHT = 92;
const TOP = 20;
const BOTTOM = 16;
const LETTER = 14;
/** Least margin above and below the curve, °C: small changes must not look large. */
const ROOM_C = 2;

/** The periods with heating on, epoch ms; heating that is still on lasts until now. */
function warmedBetween(heat: CureReadings['heat'], now: number): { from: number; to: number }[] {
  return heat.flatMap(({ at, on }, i) => {
    const before = heat[i - 1]?.on ?? false;
    if (!on || before) return [];
    return [{ from: at, to: heat.slice(i).find((h) => !h.on)?.at ?? now }];
  });
}

/**
 * The measured and planned temperature of a repair, below its strip and on the same axis, with heating periods and
 * sample tests.
 */
export function CureTrace({
  seen,
  run,
  plannedC,
  axis,
  now,
}: {
  seen: CureReadings;
  run: CureForecast;
  plannedC: number;
  axis: Axis;
  now: number;
}) {
  const { c } = useTheme();
  const { units } = useWords();
  const from = run.mixedAt - 120 * MINUTE;
  const temps = seen.temps.filter((t) => t.at >= from && t.at <= now);
  const last = temps.at(-1);
  if (!last) return null;
  const all = [...temps.map((t) => t.tempC), plannedC];
  const [low, high] = [Math.min(...all) - ROOM_C, Math.max(...all) + ROOM_C];
  const y = (tempC: number) => TOP + ((high - tempC) / (high - low)) * (HEIGHT - TOP - BOTTOM);
  const { x, width } = axis;
  const line = temps.map((t) => `${x(t.at)},${y(t.tempC)}`).join(' ');
  const lastX = x(last.at);
  const words = (tempC: number) => formatQuantity(tempC, 'temperature', units);
  const nearRight = lastX > width - 70;
  const above = last.tempC >= plannedC;
  return (
    <View
      role="img"
      aria-label={t('Temperature of the repair, {min} to {max}; planned {planned}', {
        min: words(Math.min(...temps.map((t) => t.tempC))),
        max: words(Math.max(...temps.map((t) => t.tempC))),
        planned: words(plannedC),
      })}
      testID="cure-trace"
    >
      <Svg width={width} height={HEIGHT}>
        <Warmed seen={seen} now={now} x={x} c={c} />
        <Line
          x1={x(run.mixedAt)}
          y1={y(plannedC)}
          x2={width}
          y2={y(plannedC)}
          stroke={c.pencil}
          strokeWidth={1}
          strokeDasharray="5 4"
        />
        <SvgText
          x={width - 2}
          y={y(plannedC) + (above ? LETTER + 2 : -5)}
          fontFamily="BarlowSemiCondensed_500Medium"
          fontSize={LETTER}
          textAnchor="end"
          fill={c.pencil}
        >
          {t('planned {planned}', { planned: words(plannedC) })}
        </SvgText>
        {run.lasts ? <LastsOn lastX={lastX} y={y} last={last} width={width} c={c} /> : null}
        <Polyline points={line} fill="none" stroke={c.ink} strokeWidth={2} />
        <Rect x={lastX - 3} y={y(last.tempC) - 3} width={6} height={6} fill={c.ink} />
        <SvgText
          x={nearRight ? lastX - 6 : lastX + 6}
          y={y(last.tempC) + (above ? -7 : LETTER + 4)}
          fontFamily="BarlowSemiCondensed_700Bold"
          fontSize={LETTER}
          textAnchor={nearRight ? 'end' : 'start'}
          fill={c.ink}
        >
          {words(last.tempC)}
        </SvgText>
        <Samples seen={seen} x={x} c={c} />
      </Svg>
    </View>
  );
}

function Samples({ seen, x, c }: { seen: CureReadings; x: (at: number) => number; c: Colours }) {
  return (
    <>
      {seen.samples.map(({ at, hard }) => (
        <Path
          key={at}
          d={`M${x(at) - 5} ${TOP - 12}h10l-5 8Z`}
          fill={hard ? c.moss : c.sheet}
          stroke={hard ? c.moss : c.oxide}
          strokeWidth={1.5}
        />
      ))}
    </>
  );
}

function LastsOn({
  lastX,
  y,
  last,
  width,
  c,
}: {
  lastX: number;
  y: (tempC: number) => number;
  last: { at: number; tempC: number };
  width: number;
  c: Colours;
}) {
  return (
    <Line
      x1={lastX}
      y1={y(last.tempC)}
      x2={width}
      y2={y(last.tempC)}
      stroke={c.ink}
      strokeWidth={1}
      strokeDasharray="2 4"
    />
  );
}

function Warmed({
  seen,
  now,
  x,
  c,
}: {
  seen: CureReadings;
  now: number;
  x: (at: number) => number;
  c: Colours;
}) {
  return (
    <>
      {warmedBetween(seen.heat, now).map((w) => (
        <Rect
          key={w.from}
          x={x(w.from)}
          y={HEIGHT - 8}
          width={Math.max(2, x(w.to) - x(w.from))}
          height={6}
          fill={c.ochre}
        />
      ))}
    </>
  );
}
