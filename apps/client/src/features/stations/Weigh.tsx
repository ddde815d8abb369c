import { scaleText, type RepairView } from '@kelmot/contract';
import {
  roundFigure,
  formatQuantity,
  shownUnit,
  type Plan,
  type PlanBatch,
  type Weighing,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { ScalePour } from '@/features/instruments';
import { textsDropped, textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { TextBox } from '@/shared/ui/fields';
import { FigureText } from '@/shared/ui/FigureText';
import { RatioGauge } from '@/shared/ui/Gauges';
import { Txt } from '@/shared/ui/Txt';
import { useMargins } from '@/shared/ui/layout';
import { useWords } from '@/shared/ui/useWords';
import { useSavedText } from '../../shared/repair/useSavedText';
import { scaleKey, weightKey, type Weighed } from './useBatches';

function Part({
  letter,
  name,
  round,
  figure,
  grams,
  volume,
  plan,
  view,
}: {
  letter: 'A' | 'B';
  name: string;
  round: string;
  figure: string;
  grams: number;
  volume: string;
  plan: Plan;
  view: RepairView;
}) {
  const units = useAppSelector((s) => s.settings.units);
  const part = letter === 'A' ? 'a' : 'b';
  const worked = roundFigure(plan, round, figure);
  const byVolume = roundFigure(plan, round, volume);
  // The working is of the first batch; the last batch may be smaller.
  const same = Math.abs((worked?.value ?? 0) - grams) < 1e-6;
  const [text, setText] = useSavedText(weightKey(view, part));
  const [scale, , drop] = useSavedText(scaleKey(view));
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
        <View className="min-w-0 flex-1">
          <Txt as="label">{name}</Txt>
          {same ? (
            <FigureText figure={worked} as="clock" />
          ) : (
            <Txt as="clock">{formatQuantity(grams, 'mass', units)}</Txt>
          )}
          {same && byVolume ? (
            <View className="flex-row items-baseline gap-1 pt-1">
              <Txt as="label">{t('or')}</Txt>
              <FigureText figure={byVolume} />
            </View>
          ) : null}
        </View>
      </View>
      <TextBox
        id={`weigh-${part}`}
        label={t('{name} on the scale', { name })}
        text={text}
        onText={(typed) => {
          setText(typed);
          if (scale) drop();
        }}
        unit={shownUnit('mass', units).symbol}
        numeric
        placeholder={t('on scale')}
      />
    </View>
  );
}

/** Weighs a batch: target masses, volumes beside them, what the scale shows, and the resulting ratio. */
export function Weigh({
  view,
  plan,
  batch,
  weigh,
  weighed,
}: {
  view: RepairView;
  plan: Plan;
  batch: PlanBatch;
  weigh: Weighing;
  weighed: Weighed;
}) {
  const dispatch = useAppDispatch();
  const [outer, setOuter] = useState(0);
  const width = outer - useMargins();
  const { tolerancePct } = weigh;
  const { tell } = useWords();
  const verdict = scaleText(weigh, batch, { pour: weighed, found: weighed.check });
  const parts = [
    { letter: 'A', name: weigh.nameA, figure: 'aG', grams: batch.aG ?? 0, volume: 'aMl' },
    { letter: 'B', name: weigh.nameB, figure: 'bG', grams: batch.bG ?? 0, volume: 'bMl' },
  ] as const;
  return (
    <View
      className="gap-3 border-b border-rule px-4 py-3"
      onLayout={(e) => setOuter(e.nativeEvent.layout.width)}
    >
      <View className="flex-row flex-wrap gap-3">
        {parts.map((p) => (
          <Part key={p.letter} {...p} round={batch.round} plan={plan} view={view} />
        ))}
      </View>
      <ScalePour
        pours={[
          { name: weigh.nameA, letter: 'A', targetG: batch.aG ?? 0 },
          { name: weigh.nameB, letter: 'B', targetG: batch.bG ?? 0 },
        ]}
        take={({ letter }, text, scale) => {
          const keep = (key: string, kept: string) => dispatch(textTyped({ key, text: kept }));
          if (letter === 'B') return keep(weightKey(view, 'b'), text);
          // The other part may come from another scale: the scale is recorded once it has weighed both parts.
          keep(weightKey(view, 'a'), text);
          dispatch(textsDropped([weightKey(view, 'b')]));
          keep(scaleKey(view), scale);
        }}
      />
      {width > 0 ? (
        <RatioGauge
          width={width}
          deviationPct={weighed.check?.deviationPct ?? null}
          tolerancePct={tolerancePct}
        />
      ) : null}
      <View role="status" testID="ratio-verdict">
        <Txt as="inline" className={verdict.good ? 'text-mossInk' : 'text-oxideInk'}>
          {tell(verdict.say)}
        </Txt>
      </View>
    </View>
  );
}
