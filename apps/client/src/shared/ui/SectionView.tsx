import {
  LETTER_PX,
  type Drawing,
  type LineStyle,
  type Point,
  type Prim,
  type Tone,
} from '@kelmot/core';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { fillOf, Hatches } from './hatches';
import { useTheme } from './theme';
import type { Colours } from './tokens.cjs';
import { Txt } from './Txt';

const FONT = 'BarlowSemiCondensed_600SemiBold';

const pathOf = (points: Point[], closed: boolean): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') +
  (closed ? 'Z' : '');

const lineOf = (
  style: LineStyle,
  c: Colours,
): { stroke: string; strokeWidth: number; strokeDasharray?: string } =>
  ({
    cut: { stroke: c.ink, strokeWidth: 2 },
    thin: { stroke: c.ink, strokeWidth: 1.25 },
    extension: { stroke: c.ink, strokeWidth: 0.75 },
    planned: { stroke: c.mossInk, strokeWidth: 1.5, strokeDasharray: '7 4' },
    layer: { stroke: c.ink, strokeWidth: 1 },
    work: { stroke: c.oxide, strokeWidth: 3 },
    centre: { stroke: c.ink, strokeWidth: 1, strokeDasharray: '22 4 4 4' },
    unknown: { stroke: c.ink, strokeWidth: 1.25, strokeDasharray: '2 2.6' },
  })[style];

const toneOf = (tone: Tone, c: Colours): string =>
  ({ ink: c.ink, pencil: c.pencil, stop: c.oxideInk, layer: c.mossInk })[tone];

function Letters({
  at,
  text,
  colour,
  anchor,
  halo,
}: {
  at: Point;
  text: string;
  colour: string;
  anchor: 'start' | 'middle' | 'end';
  halo: string;
}) {
  const common = {
    x: at[0],
    y: at[1],
    fontFamily: FONT,
    fontSize: LETTER_PX,
    textAnchor: anchor,
  } as const;
  return (
    <>
      <SvgText {...common} fill={halo} stroke={halo} strokeWidth={4}>
        {text}
      </SvgText>
      <SvgText {...common} fill={colour}>
        {text}
      </SvgText>
    </>
  );
}

/** A dimension line between two oblique strokes, with its figure where core placed it. */
function Dimension({ prim, c }: { prim: Extract<Prim, { kind: 'dim' }>; c: Colours }) {
  const { from, to, text, at, anchor } = prim;
  const ends: [string, Point][] = [
    ['from', from],
    ['to', to],
  ];
  return (
    <G>
      <Line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={c.ink} strokeWidth={0.75} />
      {ends.map(([key, [x, y]]) => (
        <Line
          key={key}
          x1={x - 4}
          y1={y + 4}
          x2={x + 4}
          y2={y - 4}
          stroke={c.ink}
          strokeWidth={1.4}
        />
      ))}
      <Letters at={at} text={text} colour={c.ink} anchor={anchor} halo={c.sheet} />
    </G>
  );
}

function Drawn({ prim, id, c }: { prim: Prim; id: string; c: Colours }) {
  switch (prim.kind) {
    case 'area':
      return <Path d={pathOf(prim.points, true)} fill={fillOf(prim.fill, id, c)} />;
    case 'line':
      return <Path d={pathOf(prim.points, false)} fill="none" {...lineOf(prim.style, c)} />;
    case 'dim':
      return <Dimension prim={prim} c={c} />;
    case 'leader': {
      const colour = toneOf(prim.tone, c);
      const { from, to, at, text, anchor } = prim;
      return (
        <G>
          <Line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={colour} strokeWidth={1} />
          <Circle cx={from[0]} cy={from[1]} r={2.4} fill={colour} />
          <Letters at={at} text={text} colour={colour} anchor={anchor} halo={c.sheet} />
        </G>
      );
    }
    case 'note':
      return (
        <Letters
          at={prim.at}
          text={prim.text}
          colour={toneOf(prim.tone, c)}
          anchor={prim.anchor}
          halo={c.sheet}
        />
      );
    case 'flow':
      return (
        <Path
          d={`M${prim.at[0]} ${prim.at[1]}h34M${prim.at[0] + 27} ${prim.at[1] - 5}l7 5-7 5`}
          stroke={c.pencil}
          strokeWidth={1.25}
          fill="none"
        />
      );
  }
}

/** The drawing as core laid it out. Knows hatches and lettering, never a family. */
export function SectionDrawing({ drawing }: { drawing: Drawing }) {
  const { c } = useTheme();
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  return (
    <Svg
      width={drawing.width}
      height={drawing.height}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      aria-hidden
    >
      <Hatches
        id={id}
        c={c}
        of={[...new Set(drawing.prims.flatMap((p) => (p.kind === 'area' ? p.fill : [])))]}
      />
      {drawing.prims.map((prim, i) => (
        <Drawn key={i} prim={prim} id={id} c={c} />
      ))}
    </Svg>
  );
}

/** A section with its title block below. */
export function SectionView({
  drawing,
  extra = [],
}: {
  drawing: Drawing;
  extra?: { key: string; value: string }[];
}) {
  const cells = [...drawing.title, ...extra];
  return (
    <View className="bg-sheet">
      <View role="img" aria-label={drawing.describe} className="items-center" testID="section">
        <SectionDrawing drawing={drawing} />
      </View>
      <View className="flex-row flex-wrap border-y border-ink">
        {cells.map((cell, i) => (
          <View
            key={cell.key}
            className={`max-w-full px-4 py-1.5 ${i === 0 ? 'min-w-[40%] flex-1' : 'border-l border-ink'}`}
          >
            <Txt as="label" numberOfLines={1}>
              {cell.key}
            </Txt>
            <Txt as="inline" numberOfLines={1}>
              {cell.value}
            </Txt>
          </View>
        ))}
      </View>
    </View>
  );
}
