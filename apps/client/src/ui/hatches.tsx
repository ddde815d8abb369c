import type { Fill } from '@kelmot/core';
import { Circle, Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import type { Colours } from './tokens.cjs';

/** Hatches of parent materials lean right in ink; wet leans left in moss, so that the two never blend. */
const METAL_LINES: Record<string, { size: number; at: number[]; width: number }> = {
  'cast-iron': { size: 7, at: [1], width: 1.1 },
  'carbon-steel': { size: 10, at: [1, 3.8], width: 0.9 },
  stainless: { size: 10, at: [1, 3.8, 6.6], width: 0.7 },
  'cast-aluminium': { size: 12, at: [1, 7], width: 0.7 },
  bronze: { size: 14, at: [1, 3.4, 8], width: 0.9 },
};

const METAL_DEFS = Object.entries(METAL_LINES);

/** The other parents: one small motif each, told apart by its lines and not by colour. */
const CROSSED = { size: 8, d: 'M0 0L8 8M8 0L0 8', width: 0.8 };
const DASHED = { size: 12, d: 'M1 11L5 7M7 5L11 1', width: 0.9 };
const MOTIFS = Object.entries({
  'belt-rubber': CROSSED,
  'tyre-rubber': CROSSED,
  masonry: { size: 20, d: 'M0 5H20M0 15H20M5 5V15M15 15V20M15 0V5', width: 0.8 },
  asphalt: { size: 10, d: 'M2 2h1.500M7 3h1.500M4.500 7h1.500M9 8.500h.8M0 6h1', width: 1.5 },
  abs: DASHED,
  pvc: DASHED,
  pe: DASHED,
  pp: DASHED,
  grp: { size: 12, d: 'M0 3q3 -3 6 0t6 0M0 9q3 -3 6 0t6 0', width: 0.8 },
  'coated-sheet': { size: 6, d: 'M0 6L6 0', width: 0.8 },
  'board-laminate': { size: 6, d: 'M0 2H6M0 5H6', width: 0.7 },
});

/** The pattern definitions a drawing needs. `id` keeps those of two drawings on one page apart. */
export function Hatches({ id, c }: { id: string; c: Colours }) {
  return (
    <Defs>
      {METAL_DEFS.map(([name, { size, at, width }]) => (
        <Pattern
          key={name}
          id={`${id}-${name}`}
          width={size}
          height={size}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          {at.map((x) => (
            <Line
              key={x}
              x1={x}
              y1={0}
              x2={x}
              y2={size}
              stroke={c.ink}
              strokeOpacity={0.7}
              strokeWidth={width}
            />
          ))}
        </Pattern>
      ))}
      <Pattern id={`${id}-concrete`} width={28} height={28} patternUnits="userSpaceOnUse">
        {[3, 9, 14, 20, 24, 6].map((x, i) => (
          <Circle key={x} cx={x} cy={(i * 11 + 4) % 28} r={0.9} fill={c.ink} />
        ))}
        <Path d="M6 18l6 0-3-5Z M19 8l6 0-3-5Z" fill="none" stroke={c.ink} strokeWidth={0.8} />
      </Pattern>
      {MOTIFS.map(([name, { size, d, width }]) => (
        <Pattern
          key={name}
          id={`${id}-${name}`}
          width={size}
          height={size}
          patternUnits="userSpaceOnUse"
        >
          <Path d={d} stroke={c.ink} strokeOpacity={0.7} strokeWidth={width} fill="none" />
        </Pattern>
      ))}
      <Pattern id={`${id}-sand`} width={8} height={8} patternUnits="userSpaceOnUse">
        <Circle cx={2} cy={3} r={0.7} fill={c.ink} />
        <Circle cx={6} cy={6.5} r={0.7} fill={c.ink} />
      </Pattern>
      <Pattern id={`${id}-planned`} width={6} height={6} patternUnits="userSpaceOnUse">
        <Rect width={6} height={6} fill={c.mossTint} />
        <Circle cx={1.5} cy={1.5} r={0.8} fill={c.moss} />
        <Circle cx={4.5} cy={4.5} r={0.8} fill={c.moss} />
      </Pattern>
      <Pattern
        id={`${id}-wet`}
        width={9}
        height={9}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <Rect width={9} height={9} fill={c.mossTint} />
        <Line x1={2} y1={0} x2={2} y2={9} stroke={c.moss} strokeWidth={3.8} />
      </Pattern>
      <Pattern
        id={`${id}-wet-row`}
        width={6}
        height={6}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <Rect width={6} height={6} fill={c.mossTint} />
        <Line x1={1.5} y1={0} x2={1.5} y2={6} stroke={c.moss} strokeWidth={2.6} />
      </Pattern>
      <Pattern
        id={`${id}-wet-future`}
        width={6}
        height={6}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <Line x1={1.5} y1={0} x2={1.5} y2={6} stroke={c.mossPale} strokeWidth={1.7} />
      </Pattern>
      <Pattern
        id={`${id}-late`}
        width={5}
        height={5}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <Line x1={1.5} y1={0} x2={1.5} y2={5} stroke={c.oxide} strokeWidth={1.6} />
      </Pattern>
    </Defs>
  );
}

/** What to give an SVG shape as its fill. */
export function fillOf(fill: Fill, id: string, c: Colours): string {
  if (fill === 'set' || fill === 'curing') return c.moss;
  if (fill === 'unknown') return 'none';
  return `url(#${id}-${fill})`;
}
