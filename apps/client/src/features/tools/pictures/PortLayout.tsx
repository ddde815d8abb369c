import { formatQuantity, t } from '@kelmot/core';
import { mulberry32 } from '@kelmot/core/calc/random';
import type { Injection, InjectionInput } from '@kelmot/core/cracks/injection';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '@/store/hooks';
import { useTheme } from '@/shared/ui/theme';
import { LETTER, SMALL, type PictureProps } from './props';

const HEIGHT = 320;
/** With more ports than this, only the lowest few and the top one are drawn. */
const MOST_DRAWN = 15;

/** The wall from the front: crack, seal band and ports, numbered from the lowest, which is injected first. */
export function PortLayout({ input, answer, width }: PictureProps) {
  const { c } = useTheme();
  const units = useAppSelector((s) => s.settings.units);
  const { crackLengthMm, wallMm } = input as InjectionInput;
  const { ports, spacingMm } = answer as Injection;
  const drawn = Math.min(ports, MOST_DRAWN);
  const [top, bottom, x] = [26, HEIGHT - 26, width * 0.42];
  const y = (i: number) => bottom - ((bottom - top) * i) / Math.max(1, drawn - 1);
  const random = mulberry32(ports);
  const crack = Array.from(
    { length: 41 },
    (_, i) => `${x + (random() - 0.5) * 9} ${bottom - ((bottom - top) * i) / 40}`,
  );
  return (
    <View
      role="img"
      aria-label={t('{ports} ports {spacing} apart, from the lowest up', {
        ports,
        spacing: formatQuantity(spacingMm, 'length', units),
      })}
    >
      <Svg width={width} height={HEIGHT}>
        <Path d={`M${crack.join('L')}`} stroke={c.mossTint} strokeWidth={26} fill="none" />
        <Path d={`M${crack.join('L')}`} stroke={c.ink} strokeWidth={1.5} fill="none" />
        {Array.from({ length: drawn }, (_, i) => (
          <G key={i}>
            <Circle
              cx={x}
              cy={y(i)}
              r={9.5}
              fill={i === 0 ? c.ink : c.sheet}
              stroke={c.ink}
              strokeWidth={1.5}
            />
            <SvgText
              {...SMALL}
              x={x}
              y={y(i) + 5}
              textAnchor="middle"
              fill={i === 0 ? c.sheet : c.ink}
            >
              {i === drawn - 1 ? String(ports) : String(i + 1)}
            </SvgText>
          </G>
        ))}
        <Path
          d={`M${x + 60} ${y(0)}h24M${x + 60} ${y(1)}h24M${x + 72} ${y(0)}V${y(1)}`}
          stroke={c.ink}
          strokeWidth={0.75}
        />
        <SvgText {...LETTER} x={x + 90} y={(y(0) + y(1)) / 2 + 5} fill={c.ink}>
          {formatQuantity(spacingMm, 'length', units)}
        </SvgText>
        <Line x1={x - 70} y1={top} x2={x - 70} y2={bottom} stroke={c.ink} strokeWidth={0.75} />
        <Path d={`M${x - 76} ${top}h12M${x - 76} ${bottom}h12`} stroke={c.ink} strokeWidth={1.25} />
        <SvgText {...LETTER} x={x - 78} y={HEIGHT / 2} textAnchor="end" fill={c.ink}>
          {formatQuantity(crackLengthMm, 'length', units)}
        </SvgText>
        <SvgText {...SMALL} x={x + 60} y={top + 5} fill={c.pencil}>
          {t('wall {wall}', { wall: formatQuantity(wallMm, 'length', units) })}
        </SvgText>
        {ports > MOST_DRAWN ? (
          <SvgText {...SMALL} x={x + 60} y={top + 24} fill={c.pencil}>
            {t('{ports} ports, not all drawn', { ports })}
          </SvgText>
        ) : (
          <SvgText {...SMALL} x={x + 60} y={bottom + 18} fill={c.pencil}>
            {t('inject here first')}
          </SvgText>
        )}
      </Svg>
    </View>
  );
}
