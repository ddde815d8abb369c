import { t } from '@kelmot/core';
import type { Colours } from '@/shared/ui/tokens.cjs';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import { LETTER, SMALL, type PictureProps } from './props';

/** The flange from the front: bolts with their numbers, their order inside, lines through the first cross. */
export function BoltStar({ answer, width }: PictureProps) {
  const { c } = useTheme();
  const { order } = answer as { order: number[] };
  const n = order.length;
  const size = Math.min(width, 340);
  const mid = size / 2;
  const ring = mid - 50;
  const bolt = Math.max(5, Math.min(17, (Math.PI * ring) / n - 2));
  const at = (number: number, r: number): [number, number] => {
    const a = (2 * Math.PI * (number - 1)) / n;
    return [mid + r * Math.sin(a), mid - r * Math.cos(a)];
  };
  // Lines only for the first turns: lines for all would be unreadable.
  const drawn = order.slice(0, Math.min(n, 8));
  return (
    <View
      role="img"
      aria-label={t('Tighten in this order: {order}', { order: order.join(', ') })}
      className="items-center"
    >
      <Svg width={size} height={size}>
        <Circle cx={mid} cy={mid} r={mid - 8} fill="none" stroke={c.ink} strokeWidth={2} />
        <Circle cx={mid} cy={mid} r={ring * 0.52} fill="none" stroke={c.ink} strokeWidth={2} />
        <Circle
          cx={mid}
          cy={mid}
          r={ring}
          fill="none"
          stroke={c.pencil}
          strokeWidth={0.75}
          strokeDasharray="22 4 4 4"
        />
        <Turns drawn={drawn} at={at} ring={ring} bolt={bolt} c={c} />
        {order.map((number, turn) => {
          const [x, y] = at(number, ring);
          const [tx, ty] = at(number, ring + bolt + 12);
          return (
            <G key={number}>
              <Circle
                cx={x}
                cy={y}
                r={bolt}
                fill={turn === 0 ? c.ink : c.sheet}
                stroke={c.ink}
                strokeWidth={1.5}
              />
              <SvgText
                {...LETTER}
                fontSize={Math.min(16, bolt + 3)}
                x={x}
                y={y + bolt / 3}
                textAnchor="middle"
                fill={turn === 0 ? c.sheet : c.ink}
              >
                {String(turn + 1)}
              </SvgText>
              {n <= 24 && bolt > 10 ? (
                <SvgText {...SMALL} x={tx} y={ty + 5} textAnchor="middle" fill={c.pencil}>
                  {String(number)}
                </SvgText>
              ) : null}
            </G>
          );
        })}
      </Svg>
      <Txt as="label">{t('Inside the circle: order. Outside: bolt number.')}</Txt>
    </View>
  );
}

function Turns({
  drawn,
  at,
  ring,
  bolt,
  c,
}: {
  drawn: number[];
  at: (number: number, r: number) => [number, number];
  ring: number;
  bolt: number;
  c: Colours;
}) {
  return (
    <>
      {drawn.slice(1).map((to, i) => {
        const [x1, y1] = at(drawn[i] as number, ring - bolt);
        const [x2, y2] = at(to, ring - bolt);
        return (
          <Line
            key={to}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke={c.teal}
            strokeWidth={i % 2 === 0 ? 2 : 1}
            strokeDasharray={i % 2 === 0 ? undefined : '4 4'}
          />
        );
      })}
    </>
  );
}
