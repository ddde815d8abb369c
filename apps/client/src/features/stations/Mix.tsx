import { mixOf, nextStep } from '@kelmot/contract';
import {
  clockText,
  formatDuration,
  MINUTE,
  planRound,
  roundFigure,
  say,
  STATION_NAMES,
} from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useKey } from '@/features/frame/useKey';
import { textsDropped } from '@/store/drafts';
import { useAppDispatch } from '@/store/hooks';
import { PrimaryButton, SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { FigureText } from '@/ui/FigureText';
import { MixedSwatch, StopMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { PailClock } from './PailClock';
import { StepList } from './Steps';
import { useKeptText } from './useKeptText';
import { Supplies } from './Supplies';
import { lowered, MoveOn, type StationProps } from './StepsStation';
import { batchName, useBatches, weightKey } from './useBatches';
import { Weigh } from './Weigh';

/** Mix: how much in all, the batch at hand, the scale, the clock. */
export function Mix(props: StationProps) {
  const { view, plan, repair } = props;
  const { units, say: words, tell } = useWords();
  const { running, next, round, weigh, weighed } = useBatches(view, plan);
  const [lot, setLot] = useKeptText(`${view.id}/lot`);
  const shown = running?.batch ?? next;
  // Of the round at hand; when all is mixed, of what the service loads.
  const of = round ?? planRound(plan, plan.mainRound);
  const figure = (id: string) => (of ? roundFigure(plan, of.id, id) : plan.figures[id]);
  const ofName = of && plan.rounds.length > 1 ? `${words(of.name).toLowerCase()}, ` : '';
  const placeOf = (no: number) => {
    const of = plan.rounds.find((r) => r.batches.some((b) => b.no === no));
    return of ? batchName(of, { no }, words) : `batch ${no}`;
  };
  return (
    <View>
      {running ? <PailClock plan={plan} mix={running.mix} batch={running.batch} /> : null}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2 border-b border-ink px-4 py-3">
        <FigureText figure={figure('total')} label={`${ofName}to mix`} as="reading" />
        <FigureText figure={figure('batches')} label="batches" as="reading" />
        <FigureText figure={figure('batchMass') ?? figure('batch')} label="each" as="reading" />
        {running ? null : <FigureText figure={figure('life')} label="working life" as="reading" />}
      </View>
      {shown && !running ? (
        <>
          <View className="px-4 pt-3">
            <Txt as="row">Mix, {round ? batchName(round, shown, words) : ''}</Txt>
            {round ? (
              <Txt as="label">
                {round.card.code} {round.card.name}
              </Txt>
            ) : null}
            {round?.chose ? <Txt>{tell(round.chose)}.</Txt> : null}
          </View>
          {weigh ? (
            <Weigh view={view} plan={plan} batch={shown} weigh={weigh} weighed={weighed} />
          ) : null}
          <View className="border-b border-rule px-4 py-3">
            <FieldFrame label="Lot" why="Who used which lot must be found again.">
              <TextBox id="lot" label="Lot" text={lot} onText={setLot} />
            </FieldFrame>
          </View>
        </>
      ) : null}
      {running ? (
        <>
          <View className="flex-row items-center gap-4 border-b border-rule px-4 py-3">
            <MixedSwatch />
            <View className="min-w-0 flex-1 gap-1">
              <Txt as="row">
                Mix to{' '}
                {clockText(
                  Date.parse(running.mix.startedAt) +
                    mixOf(plan, running.batch).mixMinutes * MINUTE,
                  zoneMin(),
                )}
                , then look
              </Txt>
              <Txt>Scrape wall and base of the pail. {mixOf(plan, running.batch).mixedSign}.</Txt>
            </View>
          </View>
          <View className="flex-row items-center gap-3 border-b border-rule px-4 py-3" role="note">
            <StopMark maybe size={30} />
            <Txt className="min-w-0 flex-1">
              <Txt as="strong">Late? </Txt>
              Stop placing, spread the rest thin on sheet; never leave it in the pail.
            </Txt>
          </View>
          <View className="px-4 py-3">
            <SecondaryButton
              label="Bin this batch: it is not good"
              tone="remove"
              testID="bin-batch"
              disabled={!repair.canWrite}
              onPress={() => repair.send({ type: 'mix.binned', mixId: running.mix.id })}
            />
          </View>
        </>
      ) : null}
      {view.mixes.length > 0 ? (
        <View className="gap-1 border-b border-rule px-4 py-3">
          <Txt as="label">Mixed so far</Txt>
          {view.mixes.map((m) => (
            <Txt as="inline" key={m.id} className="font-label">
              {clockText(Date.parse(m.startedAt), zoneMin())} {placeOf(m.batchNo)}
              {m.aG !== null && m.bG !== null
                ? `: ${say(m.aG, 'mass', units)} + ${say(m.bG, 'mass', units)}`
                : ''}
              {m.lot ? `, lot ${m.lot}` : ''}
              {m.binnedAt
                ? ', binned'
                : m.placedAt
                  ? `, placed ${clockText(Date.parse(m.placedAt), zoneMin())}`
                  : ', in the pail'}
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

/** The one action of Mix: start the next batch, say it is placed, or go on. The key t does the same. */
export function MixAction(props: StationProps) {
  const { id, view, plan, repair } = props;
  const now = useNow(5000);
  const dispatch = useAppDispatch();
  const { say: words } = useWords();
  const { running, next, round, weigh, weighed, held } = useBatches(view, plan);
  const nextRound = next && planRound(plan, next.round);
  const [lot] = useKeptText(`${view.id}/lot`);
  const start = () => {
    if (!next || held || !repair.canWrite) return;
    repair.send({
      type: 'mix.start',
      batchNo: next.no,
      aG: weigh ? weighed.aG : null,
      bG: weigh ? weighed.bG : null,
      lot: lot.trim(),
    });
    dispatch(textsDropped([weightKey(view, 'a'), weightKey(view, 'b')]));
  };
  const placed = () =>
    running && repair.canWrite && repair.send({ type: 'mix.placed', mixId: running.mix.id });
  useKey('t', () => (running ? placed() : start()));
  if (running)
    return (
      <PrimaryButton
        label={`Placed: ${round ? batchName(round, running.batch, words) : ''}`}
        sign="tick"
        keyHint={undefined}
        onPress={placed}
        disabled={!repair.canWrite}
        testID="batch-placed"
      />
    );
  const step = next ? nextStep(view, now) : null;
  if (next && held && step && step.station === 'build')
    return (
      <PrimaryButton
        label={`On to ${STATION_NAMES.build}: ${lowered(words(step.title))}`}
        onPress={() => router.navigate(`/repair/${id}/build`)}
        testID="to-step"
      />
    );
  if (next)
    return (
      <PrimaryButton
        label={
          held ??
          `Start ${nextRound ? batchName(nextRound, next, words) : ''}: mix ${formatDuration(mixOf(plan, next).mixMinutes)}`
        }
        disabled={held !== null || !repair.canWrite}
        onPress={start}
        testID="batch-start"
      />
    );
  return <MoveOn {...props} next="build" />;
}
