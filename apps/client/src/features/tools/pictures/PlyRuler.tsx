import { t } from '@kelmot/core';
import type { WrapDesign, WrapDesignInput } from '@kelmot/core/wrap/laminate';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/shared/ui/theme';
import { LETTER, SMALL, type PictureProps } from './props';

const ROW = 30;
const NAMES = 64;

/** One bar for each requirement on a scale of plies: the deciding one is dark, the bracket is the answer. */
export function PlyRuler({ input, answer, width }: PictureProps) {
  const { c } = useTheme();
  const { plyMm } = (input as WrapDesignInput).laminate;
  const { hoopMm, axialMm, leakMm, plies } = answer as WrapDesign;
  const bars = [
    { name: 'hoop', mm: hoopMm },
    { name: 'axial', mm: axialMm },
    ...(leakMm === null ? [] : [{ name: 'leak', mm: leakMm }]),
  ];
  const governs = Math.max(...bars.map((b) => b.mm));
  const most = plies + 1;
  const x = (n: number) => NAMES + ((width - NAMES - 12) * n) / most;
  const base = bars.length * ROW + 8;
  const each = Math.max(1, Math.ceil(most / 12));
  const ticks = Array.from({ length: most + 1 }, (_, i) => i).filter(
    (n) => n % each === 0 || n === plies,
  );
  return (
    <View
      role="img"
      aria-label={t('{plies} plies: {bars}', {
        plies,
        bars: bars.map((b) => `${b.name} ${(b.mm / plyMm).toFixed(1)}`).join(', '),
      })}
    >
      <Svg width={width} height={base + 30}>
        {bars.map((b, i) => (
          <G key={b.name}>
            <SvgText {...LETTER} x={0} y={i * ROW + 21} fill={c.ink}>
              {b.name}
            </SvgText>
            <Rect
              x={x(0)}
              y={i * ROW + 10}
              width={Math.max(0, x(b.mm / plyMm) - x(0))}
              height={14}
              fill={b.mm === governs ? c.moss : c.mossPale}
            />
          </G>
        ))}
        <Line x1={x(0)} y1={base} x2={width - 4} y2={base} stroke={c.ink} strokeWidth={1.25} />
        {ticks.map((n) => (
          <G key={n}>
            <Line x1={x(n)} y1={base} x2={x(n)} y2={base + 6} stroke={c.ink} strokeWidth={0.75} />
            <SvgText
              {...(n === plies ? LETTER : SMALL)}
              x={x(n)}
              y={base + 22}
              textAnchor="middle"
              fill={n === plies ? c.ink : c.pencil}
            >
              {String(n)}
            </SvgText>
          </G>
        ))}
        <Path
          d={`M${x(plies) + 6} 4h-6v${base - 8}h6`}
          stroke={c.ink}
          strokeWidth={2.2}
          fill="none"
        />
        <SvgText {...SMALL} x={0} y={base + 22} fill={c.pencil}>
          {t('plies')}
        </SvgText>
      </Svg>
    </View>
  );
}
