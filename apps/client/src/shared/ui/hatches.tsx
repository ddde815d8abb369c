import type { Fill } from '@kelmot/core';
import type { ReactNode } from 'react';
import { Circle, Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import type { Colours } from './tokens.cjs';

interface Hatch {
  /** Side of the repeating square, px. */
  size: number;
  /** Rotation in degrees. */
  turn?: number;
  draw: (c: Colours) => ReactNode;
}

const upright = ({
  x,
  size,
  stroke,
  width,
  opacity = 1,
}: {
  x: number;
  size: number;
  stroke: string;
  width: number;
  opacity?: number;
}) => (
  <Line
    key={x}
    x1={x}
    y1={0}
    x2={x}
    y2={size}
    stroke={stroke}
    strokeOpacity={opacity}
    strokeWidth={width}
  />
);

/** Hatches of metals lean right in ink; wet leans left in green, so that the two are never confused. */
const metal = (size: number, at: number[], width: number): Hatch => ({
  size,
  turn: 45,
  draw: (c) => at.map((x) => upright({ x, size, stroke: c.ink, width, opacity: 0.7 })),
});
/** The other substrates: one small pattern each, distinguished by lines, not by colour. */
const motif = (size: number, d: string, width: number): Hatch => ({
  size,
  draw: (c) => <Path d={d} stroke={c.ink} strokeOpacity={0.7} strokeWidth={width} fill="none" />,
});
const CROSSED = motif(8, 'M0 0L8 8M8 0L0 8', 0.8);
const DASHED = motif(12, 'M1 11L5 7M7 5L11 1', 0.9);

const HATCHES: Record<string, Hatch> = {
  'cast-iron': metal(7, [1], 1.1),
  'carbon-steel': metal(10, [1, 3.8], 0.9),
  stainless: metal(10, [1, 3.8, 6.6], 0.7),
  'cast-aluminium': metal(12, [1, 7], 0.7),
  bronze: metal(14, [1, 3.4, 8], 0.9),
  'belt-rubber': CROSSED,
  'tyre-rubber': CROSSED,
  masonry: motif(20, 'M0 5H20M0 15H20M5 5V15M15 15V20M15 0V5', 0.8),
  asphalt: motif(10, 'M2 2h1.500M7 3h1.500M4.500 7h1.500M9 8.500h.8M0 6h1', 1.5),
  abs: DASHED,
  pvc: DASHED,
  pe: DASHED,
  pp: DASHED,
  grp: motif(12, 'M0 3q3 -3 6 0t6 0M0 9q3 -3 6 0t6 0', 0.8),
  'coated-sheet': motif(6, 'M0 6L6 0', 0.8),
  'board-laminate': motif(6, 'M0 2H6M0 5H6', 0.7),
  concrete: {
    size: 28,
    draw: (c) => (
      <>
        {[3, 9, 14, 20, 24, 6].map((x, i) => (
          <Circle key={x} cx={x} cy={(i * 11 + 4) % 28} r={0.9} fill={c.ink} />
        ))}
        <Path d="M6 18l6 0-3-5Z M19 8l6 0-3-5Z" fill="none" stroke={c.ink} strokeWidth={0.8} />
      </>
    ),
  },
  sand: {
    size: 8,
    draw: (c) => (
      <>
        <Circle cx={2} cy={3} r={0.7} fill={c.ink} />
        <Circle cx={6} cy={6.5} r={0.7} fill={c.ink} />
      </>
    ),
  },
  planned: {
    size: 6,
    draw: (c) => (
      <>
        <Rect width={6} height={6} fill={c.mossTint} />
        <Circle cx={1.5} cy={1.5} r={0.8} fill={c.moss} />
        <Circle cx={4.5} cy={4.5} r={0.8} fill={c.moss} />
      </>
    ),
  },
  wet: {
    size: 9,
    turn: -45,
    draw: (c) => (
      <>
        <Rect width={9} height={9} fill={c.mossTint} />
        {upright({ x: 2, size: 9, stroke: c.moss, width: 3.8 })}
      </>
    ),
  },
  'wet-row': {
    size: 6,
    turn: -45,
    draw: (c) => (
      <>
        <Rect width={6} height={6} fill={c.mossTint} />
        {upright({ x: 1.5, size: 6, stroke: c.moss, width: 2.6 })}
      </>
    ),
  },
  'wet-future': {
    size: 6,
    turn: -45,
    draw: (c) => upright({ x: 1.5, size: 6, stroke: c.mossPale, width: 1.7 }),
  },
  late: {
    size: 5,
    turn: -45,
    draw: (c) => upright({ x: 1.5, size: 5, stroke: c.oxide, width: 1.6 }),
  },
};

/** The patterns that a drawing fills with, by name. `id` separates the patterns of two drawings on one page. */
export function Hatches({ id, c, of }: { id: string; c: Colours; of: readonly string[] }) {
  return (
    <Defs>
      {of.map((name) => {
        const hatch = HATCHES[name];
        return hatch ? (
          <Pattern
            key={name}
            id={`${id}-${name}`}
            width={hatch.size}
            height={hatch.size}
            patternUnits="userSpaceOnUse"
            patternTransform={hatch.turn ? `rotate(${hatch.turn})` : undefined}
          >
            {hatch.draw(c)}
          </Pattern>
        ) : null;
      })}
    </Defs>
  );
}

/** The SVG fill for a core fill. */
export function fillOf(fill: Fill, id: string, c: Colours): string {
  if (fill === 'set' || fill === 'curing') return c.moss;
  if (fill === 'unknown') return 'none';
  return `url(#${id}-${fill})`;
}
