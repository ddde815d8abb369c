import { mixOf, batchMoments } from '@kelmot/contract';
import { clockText, formatDuration, planRound, t } from '@kelmot/core';
import { mixStages } from '@kelmot/core/materials/stages';
import { View } from 'react-native';
import { textsDropped } from '@/store/drafts';
import { useAppDispatch } from '@/store/hooks';
import { SecondaryButton } from '@/shared/ui/Button';
import { MixedSwatch, StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import type { StationProps } from '@/shared/repair/stationProps';
import { LotField } from './LotField';
import { batchName, scaleKey, useBatches, weightKey } from './useBatches';
import { useSavedText } from '../../shared/repair/useSavedText';
import { Weigh } from './Weigh';

const lotKey = (id: string) => `${id}/lot`;

/** Starts the next batch, and marks the open batch as placed. */
export function useMixActions({ view, plan, repair }: Omit<StationProps, 'id'>) {
  const dispatch = useAppDispatch();
  const { say } = useWords();
  const { running, next, weigh, weighed, held } = useBatches(view, plan);
  const [lot] = useSavedText(lotKey(view.id));
  const [scale] = useSavedText(scaleKey(view));
  const round = next && planRound(plan, next.round);
  const start = () => {
    if (!next || held || !repair.canWrite) return;
    repair.send({
      type: 'mix.start',
      batchNo: next.no,
      aG: weigh ? weighed.aG : null,
      bG: weigh ? weighed.bG : null,
      lot: lot.trim(),
      ...(weigh && scale ? { instrument: scale } : {}),
    });
    dispatch(textsDropped([weightKey(view, 'a'), weightKey(view, 'b'), scaleKey(view)]));
  };
  const placed = () => {
    if (running && repair.canWrite) repair.send({ type: 'mix.placed', mixId: running.mix.id });
  };
  const stage = next && mixStages(mixOf(plan, next), plan.schools)[0];
  const first = stage
    ? t('. {stage}: {duration}', {
        stage: say(stage.label),
        duration: formatDuration(stage.minutes),
      })
    : '';
  const startLabel =
    held ??
    (next && round
      ? t('Start: {batch}{first}', { batch: batchName(round, next, say), first })
      : '');
  return { held, start, placed, startLabel };
}

/** The next batch: target masses, what the scale shows, and its lot. */
export function NextBatch({
  view,
  plan,
  named = true,
}: Pick<StationProps, 'view' | 'plan'> & { named?: boolean }) {
  const { say, tell } = useWords();
  const { next, round, weigh, weighed } = useBatches(view, plan);
  if (!next) return null;
  return (
    <>
      <View className="px-4 pt-3">
        {round && named ? (
          <Txt as="row">{t('Mix: {batch}', { batch: batchName(round, next, say) })}</Txt>
        ) : null}
        {round ? (
          <Txt as="label">
            {round.card.code} {round.card.name}
          </Txt>
        ) : null}
        {round?.chose ? <Txt>{tell(round.chose)}.</Txt> : null}
      </View>
      {weigh ? (
        <Weigh view={view} plan={plan} batch={next} weigh={weigh} weighed={weighed} />
      ) : null}
      <View className="border-b border-rule px-4 py-3">
        <LotField keptAs={lotKey(view.id)} cardCode={round?.card.code ?? plan.card.code} />
      </View>
    </>
  );
}

/** The open batch: how long to mix, how it must look, and what to do when it is late or bad. */
export function OpenBatch({ view, plan, repair }: Omit<StationProps, 'id'>) {
  const zone = useZone();
  const { running } = useBatches(view, plan);
  if (!running) return null;
  const { mixedSign } = mixOf(plan, running.batch);
  const { mixed } = batchMoments(plan, running.batch, running.mix);
  return (
    <>
      <View className="flex-row items-center gap-4 border-b border-rule px-4 py-3">
        <MixedSwatch />
        <View className="min-w-0 flex-1 gap-1">
          <Txt as="row">
            {t('Ready at {mixed}, then check the colour', { mixed: clockText(mixed, zone) })}
          </Txt>
          <Txt>{mixedSign}.</Txt>
        </View>
      </View>
      <View className="flex-row items-center gap-3 border-b border-rule px-4 py-3" role="note">
        <StopMark maybe size={30} />
        <Txt className="min-w-0 flex-1">
          <Txt as="strong">{t('Late? ')}</Txt>
          {t('Stop placing. Spread the rest thin on a sheet. Never leave it in the bucket.')}
        </Txt>
      </View>
      <View className="px-4 py-3">
        <SecondaryButton
          label={t('Throw this batch away: bad mix')}
          tone="remove"
          testID="bin-batch"
          disabled={!repair.canWrite}
          onPress={() => repair.send({ type: 'mix.binned', mixId: running.mix.id })}
        />
      </View>
    </>
  );
}
