import { mixedBatches, runningPlan, type RepairView } from '@kelmot/contract';
import {
  axisOf,
  clockText,
  dayClockText,
  planSummaryOf,
  MINUTE,
  formatQuantity,
  stripsOf,
  type Axis,
  type Plan,
  type Zone,
  type RoundStrip,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { AxisRuler, CureStrip } from '@/shared/ui/CureStrip';
import { Txt } from '@/shared/ui/Txt';
import { useMargins } from '@/shared/ui/layout';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';

/**
 * The axis from shortly before the first mix to the time when the last round is ready: the near hours wide, the rest
 * coarse.
 */
function axisFor(
  strips: RoundStrip[],
  { now, width, zone }: { now: number; width: number; zone: Zone },
): Axis {
  const from = Math.min(now, ...strips.map((s) => s.strip.start));
  const to = Math.max(now, ...strips.map((s) => s.strip.ready));
  const span = Math.max(to - from, 30 * MINUTE);
  const lead = span * 0.03;
  const next = strips
    .flatMap(({ strip }) => [strip.segments[1]?.to ?? 0, strip.window?.to ?? strip.ready])
    .filter((at) => at > now);
  const near = Math.max(now, Math.min(...next, to)) + 20 * MINUTE;
  // Two scales only where the far part would make the near one too small.
  const broken = to - from > 3 * (near - from);
  return axisOf({
    from: from - lead,
    nearTo: broken ? near : to + lead,
    to: to + lead,
    width,
    nearShare: 0.66,
    zone,
  });
}

/** The text beside a round: its window to the next round, or when it is ready. */
function stateText({ strip, begun }: RoundStrip, now: number, zone: Zone): string {
  const clock = (at: number) => dayClockText(at, now, zone);
  if (!begun) return t('not started; about {start}', { start: clock(strip.start) });
  return strip.window
    ? t('next {from} to {to}', { from: clock(strip.window.from), to: clock(strip.window.to) })
    : t('ready from {ready}', { ready: clock(strip.ready) });
}

/** Every round except the large one, one strip each, on one axis with a line at now. */
export function RoundStrips({
  view,
  plan,
  except,
}: {
  view: RepairView;
  plan: Plan;
  except?: string;
}) {
  const zone = useZone();
  const now = useNow();
  const { tell, units } = useWords();
  const [outer, setOuter] = useState(0);
  const width = outer - useMargins();
  const strips = stripsOf(
    planSummaryOf(runningPlan(view) ?? plan),
    mixedBatches(view.mixes),
    now,
  ).filter((s) => s.round.id !== except);
  if (strips.length === 0) return null;
  const axis = width > 0 ? axisFor(strips, { now, width, zone }) : null;
  return (
    <View
      className="border-b border-ink bg-sheet px-4 pb-2"
      onLayout={(e) => setOuter(e.nativeEvent.layout.width)}
      testID="round-strips"
    >
      {axis ? <AxisRuler axis={axis} now={now} label={clockText(now, zone)} /> : null}
      {strips.map((s) => {
        const round = plan.rounds.find((r) => r.id === s.round.id);
        return (
          <View key={s.round.id} className="border-b border-rule pt-2">
            <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
              <Txt as="inline">
                {tell(s.round.name)}{' '}
                <Txt as="label">
                  {s.round.cardCode}
                  {round && round.buildMm > 0
                    ? `, ${formatQuantity(round.buildMm, 'length', units)}`
                    : ''}
                </Txt>
              </Txt>
              <Txt as="label">{stateText(s, now, zone)}</Txt>
            </View>
            {axis && s.begun ? (
              <CureStrip
                strip={s.strip}
                axis={axis}
                now={now}
                height={14}
                withWindow={s.strip.window !== null}
              />
            ) : (
              <View className="my-4 border-t border-dashed border-pencil" />
            )}
          </View>
        );
      })}
    </View>
  );
}
