import { mixedBatches } from '@kelmot/contract';
import {
  axisOf,
  clockText,
  dayClockText,
  gistOf,
  mixedAt,
  nextAct,
  say,
  stripOf,
} from '@kelmot/core';
import { useState } from 'react';
import { router } from 'expo-router';
import { View } from 'react-native';
import { PrimaryButton } from '@/ui/Button';
import { Countdown } from '@/ui/Countdown';
import { AxisRuler, CureStrip } from '@/ui/CureStrip';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { KeyFigures } from './KeyFigures';
import { PailClock } from './PailClock';
import { StepList } from './Steps';
import { MixAction } from './Mix';
import { MoveOn, type StationProps } from './StepsStation';
import { useBatches } from './useBatches';

const MINUTE = 60_000;

/** Build: the coats on one axis with now drawn through, the overcoat window, the steps. */
export function Build(props: StationProps) {
  const { view, plan } = props;
  const now = useNow();
  const [width, setWidth] = useState(0);
  const { running } = useBatches(view, plan);
  const gist = gistOf(plan);
  const mixed = mixedBatches(view.mixes);
  const act = nextAct(gist, mixed, now, zoneMin());
  const first = mixed.filter((m) => !m.binned)[0]?.startedAt ?? now;
  const coats = Array.from({ length: plan.figures.coats?.value ?? 1 }, (_, i) => i + 1);
  const opens = plan.milestones.find((m) => m.id === 'overcoatOpens')?.minutes ?? 60;
  const from = Math.min(first, now) - 10 * MINUTE;
  const near = Math.max(now, first) + Math.max(90, opens * 1.4) * MINUTE;
  const axis =
    width > 0
      ? axisOf({
          from,
          nearTo: near,
          to: Math.max(near + 60 * MINUTE, gist.deadline),
          width,
          nearShare: 0.72,
          zoneMin: zoneMin(),
        })
      : null;
  return (
    <View>
      {running ? <PailClock plan={plan} mix={running.mix} batch={running.batch} /> : null}
      {act && !running && act.phase !== 'cure' && act.phase !== 'ready' ? (
        <View
          className="flex-row flex-wrap items-center gap-x-4 border-b border-rule bg-sheet px-4 py-3"
          role="status"
          testID="overcoat"
        >
          {act.clockTo !== null ? (
            <Countdown
              to={act.clockTo}
              now={now}
              ruling
              tone={act.phase === 'overcoat' ? 'closing' : 'ink'}
            />
          ) : null}
          <View className="min-w-0 flex-1">
            <Txt as="row">{act.say}</Txt>
            <Txt className="text-pencil">{act.second}</Txt>
          </View>
        </View>
      ) : null}
      <KeyFigures plan={plan} station="build" />
      <View
        className="border-b border-ink bg-sheet px-4 pb-2"
        onLayout={(e) => setWidth(e.nativeEvent.layout.width - 32)}
      >
        {axis ? <AxisRuler axis={axis} now={now} label={clockText(now, zoneMin())} /> : null}
        {coats.map((n) => {
          const numbers = plan.batches.filter((b) => b.coat === n).map((b) => b.no);
          const at = mixedAt(mixed.filter((m) => numbers.includes(m.batchNo)));
          const strip = at === null ? null : stripOf(gist, at);
          const last = n === coats.length;
          return (
            <View key={n} className="border-b border-rule pt-2">
              <View className="flex-row items-baseline justify-between">
                <Txt as="inline">
                  Coat {n}{' '}
                  <Txt as="label">
                    {plan.figures.coat ? say(plan.figures.coat.value, 'length') : ''}
                  </Txt>
                </Txt>
                <Txt as="label">
                  {strip
                    ? last
                      ? `good from ${dayClockText(strip.ready, now, zoneMin())}`
                      : strip.window
                        ? `overcoat ${dayClockText(strip.window.from, now, zoneMin())} to ${dayClockText(strip.window.to, now, zoneMin())}`
                        : ''
                    : 'not begun'}
                </Txt>
              </View>
              {strip && axis ? (
                <CureStrip strip={strip} axis={axis} now={now} height={14} withWindow={!last} />
              ) : (
                <View className="my-4 border-t border-pencil" />
              )}
            </View>
          );
        })}
      </View>
      <StepList station="build" {...props} />
    </View>
  );
}

/** The one action of Build: the pail at hand first, then the next batch, then on. */
export function BuildAction(props: StationProps) {
  const { id, view, plan } = props;
  const { running, next } = useBatches(view, plan);
  if (running) return <MixAction {...props} />;
  if (next)
    return (
      <PrimaryButton
        label={`Weigh batch ${next.no} of ${plan.batches.length}`}
        onPress={() => router.navigate(`/repair/${id}/mix`)}
        testID="next-batch"
      />
    );
  return <MoveOn {...props} station="build" next="cure" />;
}
