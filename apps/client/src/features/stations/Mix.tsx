import { currentTask } from '@kelmot/contract';
import { clockText, tasksOf, planRound, roundFigure, formatQuantity, t } from '@kelmot/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useKey } from '@/shared/ui/useKey';
import { PrimaryButton } from '@/shared/ui/Button';
import { FigureText } from '@/shared/ui/FigureText';
import { Txt } from '@/shared/ui/Txt';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import { OpenBatch, NextBatch, useMixActions } from './MixParts';
import { BatchClock } from './BatchClock';
import { StepList } from './Steps';
import { Supplies } from './Supplies';
import { MoveOn, OpenRunSheet } from './StepsStation';
import type { StationProps } from '@/shared/repair/stationProps';
import { batchName, useBatches } from './useBatches';
import { useGateTime } from './useGateTime';

/** Mix: the total amount, the current batch, the scale, the clock. */
export function Mix(props: StationProps) {
  const zone = useZone();
  const { view, plan, repair } = props;
  const { units, say: words } = useWords();
  const { running, round } = useBatches(view, plan);
  // The current round; when all is mixed, the round that the service loads.
  const of = round ?? planRound(plan, plan.mainRound);
  const figure = (id: string) => (of ? roundFigure(plan, of.id, id) : plan.figures[id]);
  const toMix =
    of && plan.rounds.length > 1 ? t('{round}: to mix', { round: words(of.name) }) : t('to mix');
  const placeOf = (no: number) => {
    const of = plan.rounds.find((r) => r.batches.some((b) => b.no === no));
    return of ? batchName(of, { no }, words) : t('batch {no}', { no });
  };
  return (
    <View>
      {running ? <BatchClock plan={plan} mix={running.mix} batch={running.batch} /> : null}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2 border-b border-ink px-4 py-3">
        <FigureText figure={figure('total')} label={toMix} as="reading" />
        <FigureText figure={figure('batches')} label={t('batches')} as="reading" />
        <FigureText
          figure={figure('batchMass') ?? figure('batch')}
          label={t('each')}
          as="reading"
        />
        {running ? null : (
          <FigureText figure={figure('life')} label={t('working life')} as="reading" />
        )}
      </View>
      {running ? <OpenBatch {...props} /> : <NextBatch {...props} />}
      {view.mixes.length > 0 ? (
        <View className="gap-1 border-b border-rule px-4 py-3">
          <Txt as="label">{t('Batches mixed so far')}</Txt>
          {view.mixes.map((m) => (
            <Txt as="inline" key={m.id} className="font-label">
              {clockText(Date.parse(m.startedAt), zone)} {placeOf(m.batchNo)}
              {m.aG !== null && m.bG !== null
                ? `: ${formatQuantity(m.aG, 'mass', units)} + ${formatQuantity(m.bG, 'mass', units)}`
                : ''}
              {m.lot ? t(', lot {lot}', { lot: m.lot }) : ''}
              {m.binnedAt
                ? t(', thrown away')
                : m.placedAt
                  ? t(', placed {time}', { time: clockText(Date.parse(m.placedAt), zone) })
                  : t(', still in use')}
            </Txt>
          ))}
        </View>
      ) : null}
      <Supplies
        plan={plan}
        drawFor={
          repair.canWrite && view.plan ? { repairId: view.id, planId: view.plan.id } : undefined
        }
      />
      <StepList station="mix" {...props} />
    </View>
  );
}

/** The main action of Mix: start the next batch, mark it as placed, or go on. Key: t. */
export function MixAction(props: StationProps) {
  const { view, plan, repair } = props;
  const now = useGateTime(view);
  const { say: words } = useWords();
  const { running, next, round, held } = useBatches(view, plan);
  const { start, placed, startLabel } = useMixActions(props);
  const tasks = useMemo(() => tasksOf(plan), [plan]);
  useKey('t', () => (running ? placed() : start()));
  if (running)
    return (
      <PrimaryButton
        label={t('Placed: {batch}', { batch: round ? batchName(round, running.batch, words) : '' })}
        sign="tick"
        keyHint={undefined}
        onPress={placed}
        disabled={!repair.canWrite}
        testID="batch-placed"
      />
    );
  const task = tasks[currentTask(tasks, view, now) ?? -1];
  if (next && task && task.batch?.no !== next.no) return <OpenRunSheet {...props} />;
  if (next)
    return (
      <PrimaryButton
        label={startLabel}
        disabled={held !== null || !repair.canWrite}
        onPress={start}
        testID="batch-start"
      />
    );
  return <MoveOn {...props} next="build" />;
}
