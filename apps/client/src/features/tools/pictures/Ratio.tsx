import { formatQuantity, t } from '@kelmot/core';
import type { MixCheck, MixCheckInput } from '@kelmot/core/mix/mixCheck';
import type { MixSplit } from '@kelmot/core/mix/mixSplit';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '@/store/hooks';
import { RatioGauge } from '@/shared/ui/Gauges';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import { LETTER, SMALL, type PictureProps } from './props';

const BAR = 34;

/** Both parts on one scale, by volume and by mass: the same batch, two measures. */
export function RatioScale({ answer, width }: PictureProps) {
  const { c } = useTheme();
  const units = useAppSelector((s) => s.settings.units);
  const { aMl, bMl, aG, bG } = answer as MixSplit;
  const rows = [
    { name: t('by volume'), a: aMl, b: bMl, quantity: 'volume' as const },
    { name: t('by mass'), a: aG, b: bG, quantity: 'mass' as const },
  ];
  const text = (x: number, q: 'volume' | 'mass') => formatQuantity(x, q, units);
  const label = rows
    .map((r) =>
      t('{name}: base {base}, hardener {hardener}', {
        name: r.name,
        base: text(r.a, r.quantity),
        hardener: text(r.b, r.quantity),
      }),
    )
    .join('; ');
  return (
    <View role="img" aria-label={label}>
      <Svg width={width} height={rows.length * 82}>
        {rows.map((r, i) => {
          const y = i * 82 + 22;
          const split = (width * r.a) / (r.a + r.b);
          return [
            <SvgText key="n" {...SMALL} x={0} y={y - 7} fill={c.pencil}>
              {r.name}
            </SvgText>,
            <Rect key="a" x={0} y={y} width={split} height={BAR} fill={c.teal} />,
            <Rect key="b" x={split} y={y} width={width - split} height={BAR} fill={c.ochre} />,
            ...Array.from({ length: 11 }, (_, k) => (
              <Line
                key={k}
                x1={(k * (width - 1)) / 10 + 0.5}
                y1={y + BAR}
                x2={(k * (width - 1)) / 10 + 0.5}
                y2={y + BAR + (k % 5 === 0 ? 8 : 4)}
                stroke={c.ink}
                strokeWidth={0.75}
              />
            )),
            <SvgText key="at" {...LETTER} x={8} y={y + 22} fill={c.onTeal}>
              {t('A {amount}', { amount: text(r.a, r.quantity) })}
            </SvgText>,
            <SvgText key="bt" {...LETTER} x={width} y={y - 6} textAnchor="end" fill={c.ochreInk}>
              {t('B {amount}', { amount: text(r.b, r.quantity) })}
            </SvgText>,
          ];
        })}
      </Svg>
    </View>
  );
}

/** The weighed ratio against the tolerance, and the correction. */
export function RatioCheck({ input, answer, width }: PictureProps) {
  const units = useAppSelector((s) => s.settings.units);
  const { tolerancePct } = input as MixCheckInput;
  const { deviationPct, verdict, addA_G, addB_G } = answer as MixCheck;
  const short =
    addB_G > 0
      ? t('{addB_G} of hardener', { addB_G: formatQuantity(addB_G, 'mass', units) })
      : t('{addA_G} of base', { addA_G: formatQuantity(addA_G, 'mass', units) });
  return (
    <View className="items-center gap-1">
      <RatioGauge
        width={width}
        deviationPct={deviationPct}
        tolerancePct={Math.max(tolerancePct, 0.1)}
      />
      <Txt as="strong" className={verdict === 'in' ? 'text-mossInk' : 'text-oxideInk'}>
        {verdict === 'in' ? t('In.') : t('Out. Add {short}, before mixing starts.', { short })}
      </Txt>
    </View>
  );
}
