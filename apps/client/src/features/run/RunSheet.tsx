import {
  repeatReason,
  closingWindows,
  taskDone,
  mixedBatches,
  runningPlan,
  lastHandover,
  waitsUntil,
  type Closing,
} from '@kelmot/contract';
import {
  dayClockText,
  formatDuration,
  paceOf,
  sentencesOf,
  stepTime,
  type Message,
  type Task,
  t,
  warningsOf,
} from '@kelmot/core';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { CureClock } from '@/features/cure';
import { useKey } from '@/shared/ui/useKey';
import { useReadAloud } from '@/features/speech';
import { PresentAt } from '@/shared/repair/Present';
import {
  Signed,
  SignOff,
  Cautions,
  OpenBatch,
  BatchClock,
  RoundStrips,
  OtherStepClocks,
  Counted,
  StepFigures,
  Waits,
  useBatches,
  StepWords,
} from '@/features/stations';
import type { StationProps } from '@/shared/repair/stationProps';
import { LinkButton, PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { Countdown } from '@/shared/ui/Countdown';
import { useLayout } from '@/shared/ui/layout';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useSinglePress } from '@/shared/ui/useSinglePress';
import { useWords } from '@/shared/ui/useWords';
import { Listening } from './Listening';
import { useTaskName, type Run, type TaskProps } from './useRun';
import { ToWeigh, WhyAgain, WithoutClock, TaskHold, AfterTask, WhereItIs } from './TaskParts';

const minutesOf = ({ step, batch, fromMin, toMin }: Task): number =>
  batch ? toMin - fromMin : stepTime(step);

/** The previous or the next step: visible, and one touch opens it. Empty at either end. */
function Neighbour({
  side,
  at,
  ...props
}: StationProps & { run: Run; side: 'before' | 'next'; at: number }) {
  const { view, plan, run } = props;
  const now = useNow();
  const nameOf = useTaskName(plan);
  const task = run.tasks[at];
  if (!task) return null;
  const name = nameOf(task);
  const min = minutesOf(task);
  const done = taskDone(task, { view, plan, now });
  return (
    <Pressable
      role="button"
      testID={`run-${side}`}
      onPress={() => run.look(at)}
      className="min-h-[48px] flex-row items-center gap-3 px-4 active:bg-shade"
    >
      <Txt as="label" className="w-12">
        {side === 'before' ? (done ? t('✓ Done') : t('Before')) : t('Next')}
      </Txt>
      <Txt as="inline" className="min-w-0 flex-1 text-pencil" numberOfLines={2}>
        {name}
      </Txt>
      {min >= 1 ? <Txt as="label">{formatDuration(min)}</Txt> : null}
    </Pressable>
  );
}

/** How the job stands against its plan, the effect on the open batch, and the window that closes next. */
function Standing({ props, now }: { props: TaskProps; now: number }) {
  const zone = useZone();
  const { view, plan, run } = props;
  const { tell, say } = useWords();
  const current = run.current === null ? undefined : run.tasks[run.current];
  if (!current) return null;
  const mixes = mixedBatches(view.mixes);
  const notBefore = waitsUntil(current.step, { view, plan, now })?.at;
  const pace = paceOf(runningPlan(view) ?? plan, {
    tasks: run.tasks,
    at: current,
    mixes,
    now,
    zone,
    notBefore,
  });
  const closing: Closing | undefined = closingWindows(view, now)[0];
  return (
    <View className="gap-1 border-b border-rule px-4 py-3" role="status" testID="run-pace">
      {pace.batch ? (
        <Txt as="row" className={pace.batch.spareMin < 0 ? 'text-oxideInk' : ''}>
          {tell(pace.batch.say)}
        </Txt>
      ) : null}
      <Txt as="inline" className={pace.inTime ? 'font-label' : 'font-label text-oxideInk'}>
        {tell(pace.say)}
      </Txt>
      {closing ? (
        <Txt as="inline" className="text-ochreInk">
          {t('Before {at}: {title}. {why}', {
            at: dayClockText(closing.at, now, zone),
            title: say(closing.to.title),
            why: tell(closing.why),
          })}
        </Txt>
      ) : null}
    </View>
  );
}

/** The handover of the previous person: the next person reads it first. */
function ToldBefore({ id, view, repair }: StationProps) {
  const now = useNow(60_000);
  const zone = useZone();
  const told = lastHandover(view);
  if (!told || told.byId === repair.me?.id) return null;
  const at = dayClockText(Date.parse(told.takenAt), now, zone);
  return (
    <View className="border-b border-ink bg-sheet px-4 py-3" role="status" testID="run-told">
      <Txt as="row">{t('Handed over by {by}, {at}', { by: told.by, at })}</Txt>
      <LinkButton
        label={t('Read the handover and take over')}
        testID="read-told"
        onPress={() => router.navigate(`/repair/${id}/handover`)}
      />
    </View>
  );
}

/** A step for speech: its warnings, then its sentences. */
const heardOf = (step: Task['step'], aloud: (said: Message) => string): string[] => [
  ...warningsOf(step).map((said) => t('Warning: {text}', { text: aloud(said) })),
  ...sentencesOf(step).map(aloud),
];

/** The current step, large: its instruction, its figures, its hold, and what can go wrong. */
export function RunStep(props: TaskProps) {
  const { id, view, plan, repair, run, task, hold } = props;
  const now = useNow();
  const { tell, aloud } = useWords();
  const { running } = useBatches(view, plan);
  const name = useTaskName(plan);
  const { step, batch } = task;
  const at = run.shown ?? 0;
  const done = taskDone(task, { view, plan, now });
  const onScaleNow = running !== null && batch?.no === running.batch.no;
  const toWeigh = batch !== null && !onScaleNow && !done && at === run.current;
  const wait = waitsUntil(step, { view, plan, now });
  const again = repeatReason(step, { view, plan, now });
  const found = view.readings.at(-1);
  const spoken = [name(task), again && aloud(again), ...heardOf(step, aloud)]
    .filter(Boolean)
    .join('. ');
  const sayAgain = useReadAloud(spoken, found ? { id: found.id, text: aloud(found.say) } : null);
  const recorded = done && step.hold !== null && step.hold.kind !== 'countdown';
  return (
    <View testID={`run-step-${task.id}`}>
      <Listening run={run} hold={hold} press={props.press} text={spoken} />
      <ToldBefore {...props} />
      {running ? (
        <>
          <BatchClock plan={plan} mix={running.mix} batch={running.batch} />
          <Standing props={props} now={now} />
        </>
      ) : null}
      <View className="border-b border-rule">
        <Neighbour {...props} side="before" at={at - 1} />
      </View>
      <View className="gap-3 bg-sheet px-4 py-3">
        <WhereItIs at={at} run={run} step={step} done={done} id={id} />
        <Txt as="step" role="heading">
          {name(task)}
        </Txt>
        {toWeigh ? <ToWeigh view={view} plan={plan} /> : null}
        {again ? <WhyAgain again={again} tell={tell} /> : null}
        <PresentAt id={id} stepId={step.id} />
        <StepWords step={step} as="told" />
        <OtherStepClocks step={step} view={view} plan={plan} />
        {wait && !done ? <Countdown to={wait.at} ruling={running === null} /> : null}
        <Waits step={step} view={view} plan={plan} now={now} as="inline" />
        <StepFigures step={step} plan={plan} as="reading" />
        <Counted step={step} view={view} repair={repair}>
          {props.letCountGo ? <WithoutClock go={props.letCountGo} /> : undefined}
        </Counted>
        {sayAgain ? (
          <SecondaryButton label={t('Say it again')} testID="say-again" onPress={sayAgain} />
        ) : null}
      </View>
      {step.hold?.kind === 'check' ? null : (
        <TaskHold step={step} props={props} hold={hold} recorded={recorded} repair={repair} />
      )}
      <AfterTask
        step={step}
        view={view}
        batch={batch}
        done={done}
        repair={repair}
        onScaleNow={onScaleNow}
        now={now}
        plan={plan}
        running={running}
        at={at}
        run={run}
      />
      {running ? null : <Standing props={props} now={now} />}
      {onScaleNow && step.name === 'mix' ? (
        <OpenBatch view={view} plan={plan} repair={repair} />
      ) : null}
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
export function RunAction(props: TaskProps) {
  const { run, press } = props;
  const layout = useLayout();
  const at = run.shown ?? 0;
  const go = useSinglePress(() => {
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
        keyHint={layout === 'wide' ? t('Space') : undefined}
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
        <Neighbour {...props} side="before" at={props.run.tasks.length - 1} />
      </View>
      <View className="gap-2 bg-sheet px-4 py-3">
        <Txt as="step" role="heading">
          {props.view.status === 'closed' ? t('Signed off') : t('All steps are done. Sign off.')}
        </Txt>
      </View>
      <Signed view={props.view} />
      <SignOff {...props} />
    </View>
  );
}
