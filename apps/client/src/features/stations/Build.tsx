import { mixedBatches, runningPlan } from '@kelmot/contract';
import { planSummaryOf, nextAction, t } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { PrimaryButton } from '@/shared/ui/Button';
import { Countdown } from '@/shared/ui/Countdown';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import { KeyFigures } from './KeyFigures';
import { MixAction } from './Mix';
import { BatchClock } from './BatchClock';
import { RoundStrips } from './RoundStrips';
import { StepList } from './Steps';
import { MoveOn } from './StepsStation';
import type { StationProps } from '@/shared/repair/stationProps';
import { batchName, useBatches } from './useBatches';

/** Build: the current clock, every round on one axis with a line at now, and the steps. */
export function Build(props: StationProps) {
  const zone = useZone();
  const { view, plan } = props;
  const now = useNow();
  const { say, tell } = useWords();
  const { running } = useBatches(view, plan);
  const act = nextAction(planSummaryOf(runningPlan(view) ?? plan), mixedBatches(view.mixes), {
    now,
    zone,
  });
  return (
    <View>
      {running ? <BatchClock plan={plan} mix={running.mix} batch={running.batch} /> : null}
      {act && !running && act.phase !== 'cure' && act.phase !== 'ready' ? (
        <View
          className="flex-row flex-wrap items-center gap-x-4 border-b border-rule bg-sheet px-4 py-3"
          role="status"
          testID="overcoat"
        >
          {act.clockTo !== null ? (
            <Countdown
              to={act.clockTo}
              ruling
              tone={act.phase === 'overcoat' ? 'closing' : 'ink'}
            />
          ) : null}
          <View className="min-w-0 flex-1">
            <Txt as="row">{tell(act.say)}</Txt>
            <Txt className="text-pencil">{say(act.second)}</Txt>
          </View>
        </View>
      ) : null}
      <KeyFigures plan={plan} station="build" />
      <RoundStrips view={view} plan={plan} />
      <StepList station="build" {...props} />
    </View>
  );
}

/** The main action of Build: the open batch first, then the next batch, then the next station. */
export function BuildAction(props: StationProps) {
  const { id, view, plan } = props;
  const { say } = useWords();
  const { running, next, round } = useBatches(view, plan);
  if (running) return <MixAction {...props} />;
  if (next && round)
    return (
      <PrimaryButton
        label={t('Mix: {batch}', { batch: batchName(round, next, say) })}
        onPress={() => router.navigate(`/repair/${id}/mix`)}
        testID="next-batch"
      />
    );
  return <MoveOn {...props} next="cure" />;
}
