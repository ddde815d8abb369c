import { formatDuration, formatQuantity, t } from '@kelmot/core';
import type { Exotherm, ExothermInput } from '@kelmot/core/cure/exotherm';
import type { Readiness, ReadinessInput } from '@kelmot/core/cure/readiness';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { useAppSelector } from '@/store/hooks';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import type { PictureProps } from './props';

const POINTS = 180;
const AXIS = 46;
const HEIGHT = 170;

/** Interpolates points to values at equal steps. */
function evenly<P>(
  points: readonly P[],
  { x, y, to }: { x: (p: P) => number; y: (p: P) => number; to: number },
): number[] {
  let at = 0;
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const want = (to * i) / POINTS;
    while (at < points.length - 2 && x(points[at + 1] as P) < want) at += 1;
    const [p, q] = [points[at] as P, points[Math.min(at + 1, points.length - 1)] as P];
    const span = x(q) - x(p);
    return span > 0 ? y(p) + (y(q) - y(p)) * Math.min(1, Math.max(0, (want - x(p)) / span)) : y(p);
  });
}

function Key({ colour, children }: { colour: string; children: ReactNode }) {
  return (
    <View className="flex-row items-center gap-2">
      <View style={{ width: 18, height: 4, backgroundColor: colour }} />
      <Txt as="label">{children}</Txt>
    </View>
  );
}

/** The common look of charts: thin rules, no dots, the application's font. */
function useChart(width: number, right: boolean) {
  const { c } = useTheme();
  const inner = width - AXIS - (right ? AXIS : 8);
  const letters = { color: c.pencil, fontFamily: 'BarlowSemiCondensed_500Medium', fontSize: 14 };
  return {
    c,
    common: {
      height: HEIGHT,
      width: inner,
      spacing: inner / POINTS,
      initialSpacing: 0,
      endSpacing: 0,
      disableScroll: true,
      hideDataPoints: true,
      isAnimated: false,
      thickness: 2.2,
      rulesColor: c.rule,
      rulesThickness: 1,
      rulesType: 'solid' as const,
      xAxisColor: c.ink,
      yAxisColor: c.ink,
      yAxisLabelWidth: AXIS,
      yAxisTextStyle: letters,
      xAxisLabelsHeight: 0,
    },
  };
}

/** The times below a chart: start, thirds and end. The chart's own labels are cut to one step's width. */
function TimeAxis({ to, right }: { to: number; right: number }) {
  return (
    <View className="flex-row justify-between" style={{ paddingLeft: AXIS, paddingRight: right }}>
      {[0, 1, 2, 3].map((i) => (
        <Txt key={i} as="label">
          {formatDuration((to * i) / 3)}
        </Txt>
      ))}
    </View>
  );
}

/** Temperature and conversion over time. */
export function ExothermChart({ input, answer, width }: PictureProps) {
  const units = useAppSelector((s) => s.settings.units);
  const { c, common } = useChart(width, true);
  const { curve, peakC, gelMin } = answer as Exotherm;
  const { horizonMin } = input as ExothermInput;
  const celsius = (t: number) => (units === 'us' ? t * 1.8 + 32 : t);
  const temps = evenly(curve, { x: (p) => p.min, y: (p) => p.tempC, to: horizonMin }).map(celsius);
  const alphas = evenly(curve, { x: (p) => p.min, y: (p) => p.alpha, to: horizonMin });
  const top = Math.ceil((Math.max(celsius(peakC), ...temps) + 5) / 40) * 40;
  const peak = formatQuantity(peakC, 'temperature', units);
  return (
    <View
      role="img"
      aria-label={
        gelMin === null
          ? t('Temperature peaks at {peak}', { peak })
          : t('Temperature peaks at {peak}, gels at {gel}', { peak, gel: formatDuration(gelMin) })
      }
      testID="chart-exotherm"
    >
      <View className="flex-row gap-4">
        <Key colour={c.oxide}>
          {t('temperature, {unit}', { unit: units === 'us' ? '°F' : '°C' })}
        </Key>
        <Key colour={c.teal}>{t('conversion, %')}</Key>
      </View>
      <LineChart
        {...common}
        data={temps.map((value) => ({ value: Math.max(0, value) }))}
        secondaryData={alphas.map((a) => ({ value: a * 100 }))}
        secondaryYAxis={{
          maxValue: 100,
          noOfSections: 4,
          yAxisColor: c.ink,
          yAxisTextStyle: common.yAxisTextStyle,
          yAxisLabelWidth: AXIS,
        }}
        secondaryLineConfig={{ color: c.teal, thickness: 2.2, hideDataPoints: true }}
        color={c.oxide}
        maxValue={top}
        noOfSections={4}
      />
      <TimeAxis to={horizonMin} right={AXIS} />
    </View>
  );
}

/** The chance of being ready, by the time since mixing, with the deadline. */
export function ReadinessChart({ input, answer, width }: PictureProps) {
  const { c, common } = useChart(width, false);
  const { curve, probability } = answer as Readiness;
  const { deadlineMin } = input as ReadinessInput;
  const to = curve[curve.length - 1]?.min ?? 1;
  const shares = evenly(curve, { x: (p) => p.min, y: (p) => p.share, to });
  const at = Math.min(POINTS, Math.round((deadlineMin / to) * POINTS));
  return (
    <View
      role="img"
      aria-label={t('Done by the deadline with a chance of {round} %', {
        round: Math.round(probability * 100),
      })}
      testID="chart-readiness"
    >
      <View className="flex-row gap-4">
        <Key colour={c.moss}>{t('chance of being done, %')}</Key>
        <Key colour={c.oxide}>
          {t('deadline {deadline}', { deadline: formatDuration(deadlineMin) })}
        </Key>
      </View>
      <LineChart
        {...common}
        data={shares.map((s, i) => ({
          value: s * 100,
          ...(i === at && {
            showVerticalLine: true,
            verticalLineColor: c.oxide,
            verticalLineThickness: 2.2,
            verticalLineHeight: HEIGHT,
          }),
        }))}
        color={c.moss}
        maxValue={100}
        noOfSections={4}
      />
      <TimeAxis to={to} right={8} />
    </View>
  );
}
