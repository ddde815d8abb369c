import type { RepairView } from '@kelmot/contract';
import { say, shownUnit, type Batch, type Plan } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { TextBox } from '@/ui/fields';
import { FigureText } from '@/ui/FigureText';
import { RatioGauge } from '@/ui/Gauges';
import { Txt } from '@/ui/Txt';
import { useKeptText } from './Steps';
import { weightKey, type Weighed } from './useBatches';

function Part({
  letter,
  name,
  figure,
  volume,
  plan,
  view,
}: {
  letter: 'A' | 'B';
  name: string;
  figure: string;
  volume: string;
  plan: Plan;
  view: RepairView;
}) {
  const units = useAppSelector((s) => s.settings.units);
  const part = letter === 'A' ? 'a' : 'b';
  const [text, setText] = useKeptText(weightKey(view, part));
  return (
    <View className="min-w-[150px] flex-1 gap-2">
      <View className="flex-row gap-2.5">
        <View
          className={`w-11 items-center justify-center rounded ${letter === 'A' ? 'bg-teal' : 'bg-ochre'}`}
          aria-hidden
        >
          <Txt as="screen" className={letter === 'A' ? 'text-onTeal' : 'text-onOchre'}>
            {letter}
          </Txt>
        </View>
        <View>
          <Txt as="label">{name}</Txt>
          <FigureText figure={plan.figures[figure]} as="clock" />
          <View className="flex-row items-baseline gap-1 pt-1">
            <Txt as="label">or</Txt>
            <FigureText figure={plan.figures[volume]} />
          </View>
        </View>
      </View>
      <TextBox
        id={`weigh-${part}`}
        label={`${name} on the scale`}
        text={text}
        onText={setText}
        unit={shownUnit('mass', units).symbol}
        numeric
        placeholder="on scale"
      />
    </View>
  );
}

function verdictOf(
  weighed: Weighed,
  tolerancePct: number,
  batch: Batch,
): { text: string; good: boolean } {
  const { check, aG, bG } = weighed;
  if (!check || aG === null || bG === null)
    return {
      text: `Weigh ${say(batch.aG, 'mass')} base, ${say(batch.bG, 'mass')} hardener.`,
      good: true,
    };
  const off = check.deviationPct;
  const side = off < 0 ? 'short' : 'over';
  if (check.verdict === 'in') {
    const more =
      aG + bG > (batch.aG + batch.bG) * 1.1 ? ' More than the batch: its life is shorter.' : '';
    return {
      text:
        Math.abs(off) < 0.05
          ? `In. On ratio.${more}`
          : `In. Hardener ${Math.abs(off).toFixed(1)} % ${side}.${more}`,
      good: true,
    };
  }
  const add =
    check.addB_G > 0
      ? `${say(check.addB_G, 'mass')} hardener`
      : `${say(check.addA_G, 'mass')} base`;
  return {
    text: `Out. Hardener ${Math.abs(off).toFixed(1)} % ${side}; ${tolerancePct} is the most. Add ${add}.`,
    good: false,
  };
}

/** Weighing a batch: targets by mass, volumes beside them, what the scale shows, and the ratio it makes. */
export function Weigh({
  view,
  plan,
  batch,
  weighed,
}: {
  view: RepairView;
  plan: Plan;
  batch: Batch;
  weighed: Weighed;
}) {
  const [width, setWidth] = useState(0);
  const { mix } = plan.card;
  const tolerancePct = mix.kind === 'two-part' ? mix.tolerancePct : 0;
  const verdict = verdictOf(weighed, tolerancePct, batch);
  return (
    <View
      className="gap-3 border-b border-rule px-4 py-3"
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
    >
      <View className="flex-row flex-wrap gap-3">
        <Part letter="A" name="Base" figure="aG" volume="aMl" plan={plan} view={view} />
        <Part letter="B" name="Hardener" figure="bG" volume="bMl" plan={plan} view={view} />
      </View>
      {width > 32 ? (
        <RatioGauge
          width={width - 32}
          deviationPct={weighed.check?.deviationPct ?? null}
          tolerancePct={tolerancePct}
        />
      ) : null}
      <View role="status" testID="ratio-verdict">
        <Txt as="inline" className={verdict.good ? 'text-mossInk' : 'text-oxideInk'}>
          {verdict.text}
        </Txt>
      </View>
    </View>
  );
}
