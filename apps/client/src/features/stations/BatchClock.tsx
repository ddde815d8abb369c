import type { Colours } from '@/shared/ui/tokens.cjs';
import type { Mix } from '@kelmot/contract';
import { batchMoments, batchStages } from '@kelmot/contract';
import {
  axisOf,
  clockText,
  planSummaryOf,
  roundFigure,
  roundOfBatch,
  stripOf,
  type Plan,
  type PlanBatch,
  type Axis,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Text as SvgText } from 'react-native-svg';
import { Countdown } from '@/shared/ui/Countdown';
import { CureStrip } from '@/shared/ui/CureStrip';
import { FigureText } from '@/shared/ui/FigureText';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { ClockRow } from './StepClock';

/** The clock of the open batch, large, with its own fine strip. */
export function BatchClock({ plan, mix, batch }: { plan: Plan; mix: Mix; batch: PlanBatch }) {
  const now = useNow();
  const { c } = useTheme();
  const [width, setWidth] = useState(0);
  const started = Date.parse(mix.startedAt);
  const { mixed, placeBy, ends } = batchMoments(plan, batch, mix);
  const stage = batchStages(plan, batch, mix).find((s) => s.ends > now);
  const zone = useZone();
  const summary = planSummaryOf(plan);
  const round = roundOfBatch(summary, batch.no);
  const over = now > ends;
  const end = ends + (ends - started) * 0.08;
  const axis =
    width > 0 ? axisOf({ from: started, nearTo: end, to: end, width, nearShare: 1, zone }) : null;
  const marks = [
    { at: mixed, ink: c.ink, text: clockText(mixed, zone) },
    { at: placeBy, ink: c.ink, text: clockText(placeBy, zone) },
    { at: ends, ink: c.oxideInk, text: clockText(ends, zone) },
  ];
  return (
    <View className="gap-2 border-b border-rule bg-sheet px-4 py-3" testID="batch-clock">
      <View className="flex-row flex-wrap items-center justify-between gap-x-4">
        <Countdown to={placeBy} ruling />
        <View className="items-end">
          <Txt as="row" className={over ? 'text-oxideInk' : ''}>
            {over
              ? t('Stop placing. Throw it away.')
              : t('Place it by {placeBy}', { placeBy: clockText(placeBy, zone) })}
          </Txt>
          <View className="flex-row items-baseline gap-1">
            <Txt as="inline" className="font-label">
              {t('working life')}
            </Txt>
            <FigureText figure={roundFigure(plan, batch.round, 'life')} />
          </View>
        </View>
      </View>
      {stage ? <ClockRow ends={stage.ends} label={stage.label} /> : null}
      <View className="flex-row justify-between" aria-hidden>
        <Txt as="inline" className="text-mossInk">
          {t('mix')}
        </Txt>
        <Txt as="inline">{t('place')}</Txt>
        <Txt as="inline" className="text-oxideInk">
          {t('stop')}
        </Txt>
      </View>
      <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        {axis ? (
          <>
            {round ? (
              <CureStrip
                strip={stripOf(summary, round, started)}
                axis={axis}
                now={now}
                height={42}
              />
            ) : null}
            <BatchTimes width={width} axis={axis} c={c} marks={marks} />
          </>
        ) : null}
      </View>
    </View>
  );
}

function BatchTimes({
  width,
  axis,
  c,
  marks,
}: {
  width: number;
  axis: Axis;
  c: Colours;
  marks: { at: number; ink: string; text: string }[];
}) {
  return (
    <Svg width={width} height={22} aria-hidden>
      {axis.ticks.map((t) => (
        <Line
          key={t.at}
          x1={t.x}
          y1={0}
          x2={t.x}
          y2={t.long ? 6 : 3}
          stroke={c.ink}
          strokeWidth={0.75}
        />
      ))}
      {marks.map((m, i) => (
        <SvgText
          key={i}
          x={Math.min(Math.max(axis.x(m.at), 18), width - 18)}
          y={18}
          textAnchor="middle"
          fontFamily="BarlowSemiCondensed_600SemiBold"
          fontSize={16}
          fill={m.ink}
        >
          {m.text}
        </SvgText>
      ))}
    </Svg>
  );
}
