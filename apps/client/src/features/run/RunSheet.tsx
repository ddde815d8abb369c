import {
  againBecause,
  closingWindows,
  deedDone,
  mixedBatches,
  pailMoments,
  runningPlan,
  toldLast,
  waitsUntil,
  type Closing,
} from '@kelmot/contract';
import {
  dayClockText,
  formatDuration,
  paceOf,
  STATION_NAMES,
  stepTime,
  type Deed,
} from '@kelmot/core';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { CureClock } from '@/features/cure';
import { useKey } from '@/shared/ui/useKey';
import { useSpoken } from '@/features/speech';
import { PresentAt } from '@/shared/repair/Present';
import {
  Signed,
  SignOff,
  Cautions,
  GoOnWithout,
  HoldButton,
  HoldFields,
  InThePail,
  ToWeigh,
  PailClock,
  RoundStrips,
  ClocksBeside,
  Counted,
  StepFigures,
  TickedBy,
  Verdict,
  Waits,
  WrongSigns,
  useBatches,
  tickOf,
} from '@/features/stations';
import type { StationProps } from '@/shared/repair/stationProps';
import { LinkButton, PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { Countdown } from '@/shared/ui/Countdown';
import { useLayout } from '@/shared/ui/layout';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useOnce } from '@/shared/ui/useOnce';
import { useWords } from '@/shared/ui/useWords';
import { Listening } from './Listening';
import { useDeedName, type Run, type useDeed } from './useRun';

export type DeedProps = StationProps & { run: Run; deed: Deed } & ReturnType<typeof useDeed>;

const minutesOf = ({ step, batch, fromMin, toMin }: Deed): number =>
  batch ? toMin - fromMin : stepTime(step);

/** The previous or the next step: visible, and one touch opens it. Empty at either end. */
function Neighbour({
  side,
  at,
  ...props
}: StationProps & { run: Run; side: 'before' | 'next'; at: number }) {
  const { view, plan, run } = props;
  const now = useNow();
  const nameOf = useDeedName(plan);
  const deed = run.deeds[at];
  if (!deed) return null;
  const name = nameOf(deed);
  const min = minutesOf(deed);
  const done = deedDone(deed, view, plan, now);
  return (
    <Pressable
      role="button"
      testID={`run-${side}`}
      onPress={() => run.look(at)}
      className="min-h-[48px] flex-row items-center gap-3 px-4 active:bg-shade"
    >
      <Txt as="label" className="w-12">
        {side === 'before' ? (done ? '✓ Done' : 'Before') : 'Next'}
      </Txt>
      <Txt as="inline" className="min-w-0 flex-1 text-pencil" numberOfLines={2}>
        {name}
      </Txt>
      {min >= 1 ? <Txt as="label">{formatDuration(min)}</Txt> : null}
    </Pressable>
  );
}

/** How the job stands against its plan, the effect on the open batch, and the window that closes next. */
function Standing({ props, now }: { props: DeedProps; now: number }) {
  const zone = useZone();
  const { view, plan, run } = props;
  const { tell, say } = useWords();
  const hand = run.hand === null ? undefined : run.deeds[run.hand];
  if (!hand) return null;
  const mixes = mixedBatches(view.mixes);
  const notBefore = waitsUntil(hand.step, view, plan, now)?.at;
  const pace = paceOf(runningPlan(view) ?? plan, run.deeds, hand, mixes, now, zone, notBefore);
  const closing: Closing | undefined = closingWindows(view, now)[0];
  return (
    <View className="gap-1 border-b border-rule px-4 py-3" role="status" testID="run-pace">
      {pace.pail ? (
        <Txt as="row" className={pace.pail.spareMin < 0 ? 'text-oxideInk' : ''}>
          {tell(pace.pail.say)}
        </Txt>
      ) : null}
      <Txt as="inline" className={pace.inTime ? 'font-label' : 'font-label text-oxideInk'}>
        {tell(pace.say)}
      </Txt>
      {closing ? (
        <Txt as="inline" className="text-ochreInk">
          Before {dayClockText(closing.at, now, zone)}: {say(closing.to.title)}. {tell(closing.why)}
        </Txt>
      ) : null}
    </View>
  );
}

/** The handover of the previous person: the next person reads it first. */
function ToldBefore({ id, view, repair }: StationProps) {
  const now = useNow(60_000);
  const zone = useZone();
  const told = toldLast(view);
  if (!told || told.byId === repair.me?.id) return null;
  const at = dayClockText(Date.parse(told.takenAt), now, zone);
  return (
    <View className="border-b border-ink bg-sheet px-4 py-3" role="status" testID="run-told">
      <Txt as="row">
        Handed over by {told.by}, {at}
      </Txt>
      <LinkButton
        label="Read what was told, and take it over"
        testID="read-told"
        onPress={() => router.navigate(`/repair/${id}/handover`)}
      />
    </View>
  );
}

/** The current step, large: its instruction, its figures, its hold, and what can go wrong. */
export function RunStep(props: DeedProps) {
  const { id, view, plan, repair, run, deed, hold } = props;
  const now = useNow();
  const { tell, aloud } = useWords();
  const { running } = useBatches(view, plan);
  const name = useDeedName(plan);
  const { step, batch } = deed;
  const at = run.shown ?? 0;
  const done = deedDone(deed, view, plan, now);
  const inPail = running !== null && batch?.no === running.batch.no;
  const toWeigh = batch !== null && !inPail && !done && at === run.hand;
  const wait = waitsUntil(step, view, plan, now);
  const again = againBecause(step, view, plan, now);
  const found = view.readings.at(-1);
  const spoken = [name(deed), again && aloud(again), aloud(step.text)].filter(Boolean).join('. ');
  const sayAgain = useSpoken(spoken, found ? { id: found.id, text: aloud(found.say) } : null);
  const recorded = done && step.hold !== null && step.hold.kind !== 'countdown';
  return (
    <View testID={`run-step-${deed.id}`}>
      <Listening run={run} hold={hold} press={props.press} text={spoken} />
      <ToldBefore {...props} />
      {running ? (
        <>
          <PailClock plan={plan} mix={running.mix} batch={running.batch} />
          <Standing props={props} now={now} />
        </>
      ) : null}
      <View className="border-b border-rule">
        <Neighbour {...props} side="before" at={at - 1} />
      </View>
      <View className="gap-3 bg-sheet px-4 py-3">
        <View className="flex-row items-center justify-between gap-3">
          <Txt as="label" role="status" className="min-w-0 flex-1">
            {at + 1} of {run.deeds.length}, {STATION_NAMES[step.station]}
            {at === run.hand ? '' : done ? ', done' : ', not at hand yet'}
          </Txt>
          <LinkButton
            label="Hand over"
            testID="run-handover"
            onPress={() => router.navigate(`/repair/${id}/handover`)}
          />
          <LinkButton
            label="All steps"
            hint={`All steps of ${STATION_NAMES[step.station]}`}
            testID="run-list"
            onPress={() => router.navigate(`/repair/${id}/${step.station}`)}
          />
        </View>
        <Txt as="deed" role="heading">
          {name(deed)}
        </Txt>
        {toWeigh ? (
          <View className="-mx-4">
            <ToWeigh view={view} plan={plan} named={false} />
          </View>
        ) : null}
        {again ? (
          <Txt as="row" className="text-oxideInk" role="alert">
            Again. {tell(again)}
          </Txt>
        ) : null}
        <PresentAt id={id} stepId={step.id} />
        <Txt as="told">{tell(step.text)}</Txt>
        <ClocksBeside step={step} view={view} plan={plan} />
        {wait && !done ? <Countdown to={wait.at} ruling={running === null} /> : null}
        <Waits step={step} view={view} plan={plan} now={now} as="inline" />
        <StepFigures step={step} plan={plan} as="reading" />
        <Counted step={step} view={view} repair={repair}>
          {props.letCountGo ? (
            <LinkButton
              label="Go on without this clock"
              testID="let-count-go"
              onPress={props.letCountGo}
            />
          ) : undefined}
        </Counted>
        {sayAgain ? (
          <SecondaryButton label="Say it again" testID="say-again" onPress={sayAgain} />
        ) : null}
      </View>
      {step.hold?.kind === 'check' ? null : (
        <View className="border-b border-rule bg-sheet px-4 pb-3">
          <HoldFields
            {...props}
            step={step}
            hold={hold}
            button={recorded ? <HoldButton hold={hold} repair={repair} /> : null}
          />
        </View>
      )}
      <View className="gap-2 border-b border-rule bg-sheet px-4 pb-2">
        <Verdict step={step} view={view} />
        <TickedBy step={step} view={view} batchNo={batch?.no} />
        {done && step.hold?.kind === 'check' ? (
          <SecondaryButton
            label="It is not done: take it back"
            testID="run-take-back"
            disabled={!repair.canWrite}
            onPress={() => repair.send(tickOf(step, false, batch?.no ?? null))}
          />
        ) : null}
        {inPail && now > pailMoments(plan, running.batch, running.mix).ends ? (
          <SecondaryButton
            label="It was placed while it was good"
            testID="run-was-placed"
            disabled={!repair.canWrite}
            onPress={() => repair.send({ type: 'mix.placed', mixId: running.mix.id })}
          />
        ) : null}
        <WrongSigns step={step} />
        {at === run.hand && !done && batch === null ? (
          <GoOnWithout step={step} view={view} repair={repair} />
        ) : null}
      </View>
      {running ? null : <Standing props={props} now={now} />}
      {inPail && step.name === 'mix' ? <InThePail view={view} plan={plan} repair={repair} /> : null}
      {step.station === 'prep' ? <Cautions plan={plan} /> : null}
      {step.station === 'cure' ? <CureClock view={view} plan={plan} repair={repair} /> : null}
      {step.station === 'cure' || step.station === 'accept' ? (
        <RoundStrips view={view} plan={plan} />
      ) : null}
    </View>
  );
}

/**
 * The one large button, usable with a thumb, a knuckle, a pedal or a key: does the current task. The next task is shown
 * above it.
 */
export function RunAction(props: DeedProps) {
  const { run, press } = props;
  const layout = useLayout();
  const at = run.shown ?? 0;
  const go = useOnce(() => {
    if (!press.disabled) press.go();
  });
  useKey(' ', go);
  useKey('Enter', go);
  useKey('ArrowLeft', () => run.look(at - 1));
  useKey('ArrowRight', () => run.look(at + 1));
  return (
    <View className="-mt-3">
      <View className="-mx-4">
        <Neighbour {...props} side="next" at={at + 1} />
      </View>
      <PrimaryButton
        label={press.label}
        disabled={press.disabled}
        sign={press.sign}
        keyHint={layout === 'wide' ? 'Space' : undefined}
        testID={press.testID}
        onPress={go}
      />
    </View>
  );
}

/** The end of the job: what was found, and the signature. */
export function RunEnd(props: StationProps & { run: Run }) {
  return (
    <View testID="run-end">
      <View className="border-b border-rule">
        <Neighbour {...props} side="before" at={props.run.deeds.length - 1} />
      </View>
      <View className="gap-2 bg-sheet px-4 py-3">
        <Txt as="deed" role="heading">
          {props.view.status === 'closed' ? 'Signed off' : 'All is done. Sign it off.'}
        </Txt>
      </View>
      <Signed view={props.view} />
      <SignOff {...props} />
    </View>
  );
}
