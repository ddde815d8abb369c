import type { Colours } from '@/shared/ui/tokens.cjs';
import { formatQuantity, figureAndUnit, type UnitSystem, t } from '@kelmot/core';
import { goFromC, type AmbientGate, type AmbientGateInput } from '@kelmot/core/ambient/ambientGate';
import type { DewPoint, DewPointInput } from '@kelmot/core/ambient/dewPoint';
import { View } from 'react-native';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '@/store/hooks';
import { useTheme } from '@/shared/ui/theme';
import { LETTER, SMALL, type PictureProps } from './props';

const HEIGHT = 196;
const RADIUS = 132;
/** The dial's sweep, degrees from straight up. */
const SWEEP = 76;

interface Hand {
  at: number;
  name: string;
  colour: string;
  long: boolean;
}

/** A temperature dial: one hand for each reading, and a green arc where coating is allowed. */
function Dial({
  width,
  hands,
  go,
}: {
  width: number;
  hands: Hand[];
  go: { from: number; to: number } | null;
}) {
  const { c } = useTheme();
  const units = useAppSelector((s) => s.settings.units);
  const marks = [...hands.map((h) => h.at), ...(go ? [go.from] : [])];
  const lo = Math.floor((Math.min(...marks) - 3) / 5) * 5;
  const hi = Math.max(lo + 20, Math.ceil((Math.max(...marks) + 3) / 5) * 5);
  const [cx, cy] = [width / 2, HEIGHT - 34];
  const point = (t: number, r: number): [number, number] => {
    const a =
      ((((Math.min(Math.max(t, lo), hi) - lo) / (hi - lo)) * 2 - 1) * SWEEP * Math.PI) / 180;
    return [cx + r * Math.sin(a), cy - r * Math.cos(a)];
  };
  const arc = (from: number, to: number, r: number) => {
    const [x0, y0] = point(from, r);
    const [x1, y1] = point(to, r);
    return `M${x0} ${y0}A${r} ${r} 0 0 1 ${x1} ${y1}`;
  };
  const ticks = Array.from({ length: hi - lo + 1 }, (_, i) => lo + i);
  return (
    <View
      role="img"
      aria-label={hands
        .map((h) => `${h.name} ${formatQuantity(h.at, 'temperature', units)}`)
        .join(', ')}
    >
      <Svg width={width} height={HEIGHT}>
        {go ? (
          <Path
            d={arc(go.from, Math.max(go.from, Math.min(go.to, hi)), RADIUS - 7)}
            stroke={c.mossPale}
            strokeWidth={10}
            fill="none"
          />
        ) : null}
        <Path d={arc(lo, hi, RADIUS)} stroke={c.ink} strokeWidth={1.25} fill="none" />
        <Ticks ticks={ticks} point={point} c={c} hi={hi} lo={lo} units={units} />
        {hands.map((h) => {
          const [x, y] = point(h.at, h.long ? RADIUS - 2 : RADIUS - 26);
          return (
            <Line
              key={h.name}
              x1={cx}
              y1={cy}
              x2={x}
              y2={y}
              stroke={h.colour}
              strokeWidth={h.long ? 3 : 2}
            />
          );
        })}
        <Path d={`M${cx - 7} ${cy + 4}h14l-7-11Z`} fill={c.ink} />
        {hands.map((h, i) => (
          <SvgText
            key={h.name}
            {...LETTER}
            x={hands.length === 1 ? cx : 8 + (i * (width - 16)) / (hands.length - 1)}
            y={HEIGHT - 8}
            textAnchor={i === 0 ? 'start' : i === hands.length - 1 ? 'end' : 'middle'}
            fill={h.colour}
          >
            {`${h.name} ${formatQuantity(h.at, 'temperature', units)}`}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}

function Ticks({
  ticks,
  point,
  c,
  hi,
  lo,
  units,
}: {
  ticks: number[];
  point: (t: number, r: number) => [number, number];
  c: Colours;
  hi: number;
  lo: number;
  units: UnitSystem;
}) {
  return (
    <>
      {ticks.map((t) => {
        const long = t % 5 === 0;
        const [x0, y0] = point(t, RADIUS);
        const [x1, y1] = point(t, RADIUS + (long ? 10 : 5));
        const [tx, ty] = point(t, RADIUS + 22);
        return (
          <G key={t}>
            <Line x1={x0} y1={y0} x2={x1} y2={y1} stroke={c.ink} strokeWidth={long ? 1.25 : 0.75} />
            {t % (hi - lo > 50 ? 20 : 10) === 0 ? (
              <SvgText {...SMALL} x={tx} y={ty + 5} textAnchor="middle" fill={c.pencil}>
                {figureAndUnit(t, 'temperature', { system: units }).figure}
              </SvgText>
            ) : null}
          </G>
        );
      })}
    </>
  );
}

/** The air temperature against the dew point or frost point. */
export function DewDial({ input, answer, width }: PictureProps) {
  const { c } = useTheme();
  const { airC } = input as DewPointInput;
  const { dewPointC, frostPointC } = answer as DewPoint;
  const hands: Hand[] = [
    { at: dewPointC, name: t('dew point'), colour: c.teal, long: true },
    ...(frostPointC === null
      ? []
      : [{ at: frostPointC, name: t('frost point'), colour: c.mossInk, long: true }]),
    { at: airC, name: 'air', colour: c.ink, long: false },
  ];
  return <Dial width={width} hands={hands} go={null} />;
}

/** The same with the surface, and the arc where coating is allowed. */
export function GateDial({ input, answer, width }: PictureProps) {
  const { c } = useTheme();
  const given = input as AmbientGateInput;
  const { dewPointC, frostPointC, verdict } = answer as AmbientGate;
  const hands: Hand[] = [
    {
      at: frostPointC ?? dewPointC,
      name: frostPointC === null ? t('dew point') : t('frost point'),
      colour: c.teal,
      long: false,
    },
    {
      at: given.surfaceC,
      name: 'surface',
      colour: verdict === 'go' ? c.mossInk : c.oxideInk,
      long: true,
    },
    { at: given.airC, name: 'air', colour: c.ink, long: false },
  ];
  return (
    <Dial width={width} hands={hands} go={{ from: goFromC(given, given), to: given.maxSurfaceC }} />
  );
}
