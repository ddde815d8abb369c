import type { Verdict } from '@kelmot/core';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { useTheme } from './theme';

/** A peg in a socket: seated, half-way with a condition, or too wide and lying on top. Always shown with its word. */
export function VerdictMark({ verdict, size = 30 }: { verdict: Verdict; size?: number }) {
  const { c } = useTheme();
  return (
    <Svg width={size} height={size} viewBox="0 0 30 30" aria-hidden>
      {verdict === 'fits' ? <Rect x={6} y={6} width={18} height={18} fill={c.moss} /> : null}
      {verdict === 'if' ? (
        <>
          <Rect
            x={7.5}
            y={2}
            width={15}
            height={13}
            fill="none"
            stroke={c.ochreInk}
            strokeWidth={1.75}
          />
          <Rect x={7.5} y={9} width={15} height={6} fill={c.ochreInk} />
          <Path d="M15 18v7M12 22l3 3 3-3" stroke={c.ochreInk} strokeWidth={1.75} fill="none" />
        </>
      ) : null}
      {verdict === 'no' ? (
        <>
          <Rect x={1} y={2} width={28} height={8} fill="none" stroke={c.oxide} strokeWidth={1.75} />
          <Path d="M5 10l5-8M12 10l5-8M19 10l5-8" stroke={c.oxide} strokeWidth={1.5} />
        </>
      ) : null}
      <Path d="M3 12v16h24V12" stroke={c.ink} strokeWidth={1.75} fill="none" />
    </Svg>
  );
}

/** Stop: a barred octagon with a notch. Grey when it may come but has not. */
export function StopMark({ size = 28, maybe = false }: { size?: number; maybe?: boolean }) {
  const { c } = useTheme();
  const colour = maybe ? c.pencil : c.oxide;
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
      <Path
        d="M9 2.5h10L25.500 9v10L19 25.500H9L2.500 19V9Z"
        fill="none"
        stroke={colour}
        strokeWidth={2.2}
      />
      <Path d="M8 14h12" stroke={colour} strokeWidth={3} />
    </Svg>
  );
}

/** QueuedCommand: to be sent, or due for a look. */
export function WaitMark({ size = 20 }: { size?: number }) {
  const { c } = useTheme();
  return (
    <Svg width={size} height={size} viewBox="0 0 20 20" aria-hidden>
      <Rect
        x={2}
        y={2}
        width={16}
        height={16}
        fill="none"
        stroke={c.ink}
        strokeWidth={2}
        strokeDasharray="2 2.6"
      />
    </Svg>
  );
}

/** New, on the one round button. */
export function PlusMark({ size = 24 }: { size?: number }) {
  const { c } = useTheme();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d="M12 3v18M3 12h18" stroke={c.onTeal} strokeWidth={2.5} strokeLinecap="round" />
    </Svg>
  );
}

/** Kelmot's sign: the two parts and their mix. */
export function Sign({ size = 24 }: { size?: number }) {
  const { c } = useTheme();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Rect x={1} y={1} width={11} height={11} fill={c.teal} />
      <Rect x={12} y={1} width={11} height={11} fill={c.ochre} />
      <Rect x={1} y={12} width={22} height={11} fill={c.moss} />
    </Svg>
  );
}

const TAB_PATHS: Record<string, string> = {
  bench: 'M2 9h20v8H2ZM8 9v8M15 3v18M2 17l6-8',
  repairs: 'M2 6h5c1 4 3 6 5 6s4-2 5-6h5v12H2ZM4 18l3-5M9 18l3-4M15 18l4-6',
  store: 'M3 8h8v12H3ZM13 11h8v9h-8ZM2 5h10M13 8h8',
  'know-how': 'M5 2h10l4 4v16H5ZM9 10v7M15 10v7M9 13.500h6',
};

export function TabIcon({ name, on }: { name: string; on: boolean }) {
  const { c } = useTheme();
  return (
    <Svg width={26} height={24} viewBox="0 0 24 24" aria-hidden>
      <Path
        d={TAB_PATHS[name] ?? ''}
        stroke={on ? c.ink : c.pencil}
        strokeWidth={on ? 2 : 1.5}
        fill="none"
      />
    </Svg>
  );
}

/** The colour check: streaked on the left, one colour on the right. */
export function MixedSwatch({ size = 84 }: { size?: number }) {
  const { c } = useTheme();
  return (
    <View aria-hidden>
      <Svg width={size} height={size} viewBox="0 0 84 84">
        <Path d="M42 2a40 40 0 0 0 0 80Z" fill={c.teal} />
        <Path d="M5 28c10-6 22 6 37-2v10c-14 6-24-4-39 2Z" fill={c.ochre} />
        <Path d="M3 50c12-4 22 8 39 0v12c-14 4-24-4-34 0Z" fill={c.moss} />
        <Path d="M42 2a40 40 0 0 1 0 80Z" fill={c.moss} />
        <Line x1={42} y1={1} x2={42} y2={83} stroke={c.paper} strokeWidth={3} />
        <Circle cx={42} cy={42} r={40.5} fill="none" stroke={c.ink} strokeWidth={1.5} />
      </Svg>
    </View>
  );
}
