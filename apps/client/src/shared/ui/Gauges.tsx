import type { Colours } from '@/shared/ui/tokens.cjs';
import { formatQuantity, t } from '@kelmot/core';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '@/store/hooks';
import { useTheme } from './theme';

interface DewGaugeProps {
  width: number;
  dewPointC: number;
  surfaceC: number;
  goFromC: number;
  go: boolean;
}

/** Surface temperature and dew point on one ruler; the range where coating is allowed is green. */
export function DewGauge({ width, dewPointC, surfaceC, goFromC, go }: DewGaugeProps) {
  const { c } = useTheme();
  const units = useAppSelector((s) => s.settings.units);
  const lo = Math.min(dewPointC, surfaceC) - 2;
  const hi = Math.max(goFromC, surfaceC) + 2;
  const x = (t: number) => ((t - lo) / (hi - lo)) * (width - 8) + 4;
  const ticks = Array.from(
    { length: Math.floor(hi) - Math.ceil(lo) + 1 },
    (_, i) => Math.ceil(lo) + i,
  );
  const text = (t: number) => formatQuantity(t, 'temperature', units);
  const colour = go ? c.moss : c.oxide;
  const ink = go ? c.mossInk : c.oxideInk;
  const near =
    Math.abs(x(surfaceC) - x(goFromC)) < 110 || Math.abs(x(surfaceC) - x(dewPointC)) < 110;
  const anchor = (at: number) => (at < 60 ? 'start' : at > width - 60 ? 'end' : 'middle');
  const words = { fontFamily: 'BarlowSemiCondensed_600SemiBold', fontSize: 16 } as const;
  return (
    <View
      role="img"
      aria-label={t('Dew point {dewPoint}, steel {surface}, go from {goFrom}', {
        dewPoint: text(dewPointC),
        surface: text(surfaceC),
        goFrom: text(goFromC),
      })}
    >
      <Svg width={width} height={near ? 84 : 64}>
        <Rect
          x={x(goFromC)}
          y={25}
          width={Math.max(0, width - x(goFromC))}
          height={9}
          fill={c.mossPale}
        />
        <Line x1={0} y1={24} x2={width} y2={24} stroke={c.ink} strokeWidth={1.25} />
        <DewTicks ticks={ticks} x={x} c={c} />
        <Line x1={x(dewPointC)} y1={28} x2={x(surfaceC)} y2={28} stroke={colour} strokeWidth={3} />
        <Line
          x1={x(dewPointC)}
          y1={4}
          x2={x(dewPointC)}
          y2={36}
          stroke={c.ink}
          strokeWidth={1.25}
        />
        <Line x1={x(goFromC)} y1={4} x2={x(goFromC)} y2={36} stroke={c.ink} strokeWidth={2} />
        <Path d={`M${x(surfaceC) - 8} 0h16l-8 16Z`} fill={colour} />
        <Line x1={x(surfaceC)} y1={14} x2={x(surfaceC)} y2={32} stroke={colour} strokeWidth={2} />
        <SvgText
          {...words}
          x={x(dewPointC)}
          y={54}
          textAnchor={anchor(x(dewPointC))}
          fill={c.pencil}
        >
          {t('dew point {dewPoint}', { dewPoint: text(dewPointC) })}
        </SvgText>
        <SvgText
          {...words}
          x={x(goFromC)}
          y={54}
          textAnchor={x(goFromC) > width / 2 ? anchor(width) : 'middle'}
          fill={c.ink}
        >
          {x(goFromC) - x(dewPointC) > 150 ? t('go from {goFrom}', { goFrom: text(goFromC) }) : ''}
        </SvgText>
        <SvgText
          {...words}
          x={x(surfaceC)}
          y={near ? 76 : 54}
          textAnchor={anchor(x(surfaceC))}
          fill={ink}
        >
          {t('steel {surface}', { surface: text(surfaceC) })}
        </SvgText>
      </Svg>
    </View>
  );
}

function DewTicks({ ticks, x, c }: { ticks: number[]; x: (t: number) => number; c: Colours }) {
  return (
    <>
      {ticks.map((t) => (
        <Line
          key={t}
          x1={x(t)}
          y1={24}
          x2={x(t)}
          y2={t % 5 === 0 ? 14 : 19}
          stroke={c.ink}
          strokeWidth={0.75}
        />
      ))}
    </>
  );
}

/** The ratio of hardener to base against its tolerance: the pointer is what was weighed. */
export function RatioGauge({
  width,
  deviationPct,
  tolerancePct,
}: {
  width: number;
  deviationPct: number | null;
  tolerancePct: number;
}) {
  const { c } = useTheme();
  const span = tolerancePct * 1.6;
  const x = (pct: number) =>
    width / 2 + (Math.min(Math.max(pct, -span), span) / span) * (width / 2 - 10);
  const inside = deviationPct !== null && Math.abs(deviationPct) <= tolerancePct;
  const bracket = (at: number, side: number) => `M${at + side * 6} 6h${-side * 6}v20h${side * 6}`;
  const label =
    deviationPct === null
      ? t('not weighed yet')
      : t('hardener {deviation} % off nominal, {inside, select, yes {in} other {out}}', {
          deviation: deviationPct.toFixed(1),
          inside: inside ? 'yes' : 'no',
        });
  return (
    <View
      role="img"
      aria-label={t('Ratio: {label}; tolerance {tolerance} %', { label, tolerance: tolerancePct })}
    >
      <Svg width={width} height={48}>
        <Line x1={4} y1={16} x2={width - 4} y2={16} stroke={c.ink} strokeWidth={1.25} />
        {Array.from({ length: 33 }, (_, i) => (
          <Line
            key={i}
            x1={4 + (i * (width - 8)) / 32}
            y1={16}
            x2={4 + (i * (width - 8)) / 32}
            y2={i % 4 === 0 ? 24 : 20}
            stroke={c.ink}
            strokeWidth={0.75}
          />
        ))}
        <Line x1={width / 2} y1={6} x2={width / 2} y2={26} stroke={c.ink} strokeWidth={1.5} />
        <Path
          d={`${bracket(x(-tolerancePct), 1)}${bracket(x(tolerancePct), -1)}`}
          stroke={c.ink}
          strokeWidth={2.2}
          fill="none"
        />
        {deviationPct === null ? null : (
          <Path d={`M${x(deviationPct) - 7} 0h14l-7 14Z`} fill={inside ? c.moss : c.oxide} />
        )}
        {[-1, 1].map((s) => (
          <SvgText
            key={s}
            x={x(s * tolerancePct)}
            y={44}
            textAnchor="middle"
            fontFamily="BarlowSemiCondensed_500Medium"
            fontSize={16}
            fill={c.pencil}
          >
            {`${s < 0 ? '−' : '+'}${tolerancePct} %`}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}
