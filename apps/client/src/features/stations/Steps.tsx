import { stepDone, type RepairView } from '@kelmot/contract';
import { formatDuration, sentence, stepTime, type Plan, type Step, t } from '@kelmot/core';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { HoldButton, HoldFields } from './HoldFields';
import { PresentAt } from '@/shared/repair/Present';
import { Counted } from './StepClock';
import { StepFigures, StepWords, TickedBy, Verdict, Waits, WhatCanGoWrong } from './StepParts';
import { tickOf, useHold, waitOver, type HoldProps } from './useHold';

/** The tick of a step that needs no hold. */
function Tick({ step, done, repair }: { step: Step; done: boolean; repair: OpenRepair }) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={t('{title}: done', { title: sentence(step.title) })}
      testID={`check-${step.id}`}
      disabled={!repair.canWrite}
      onPress={() => repair.send(tickOf(step, !done))}
      className="h-12 w-12 items-center justify-center"
    >
      <View
        className={`h-8 w-8 items-center justify-center rounded border-[1.5px] border-ink ${done ? 'bg-moss' : 'bg-sheet'}`}
      >
        {done ? (
          <Txt as="row" className="text-sheet">
            ✓
          </Txt>
        ) : null}
      </View>
    </Pressable>
  );
}

/** The inputs and the button for a hold, in a list of steps. */
function Meet(props: HoldProps) {
  const { step, view, repair } = props;
  const now = useNow(1000);
  const hold = useHold(props);
  if (step.hold?.kind === 'check') return null;
  return (
    <HoldFields
      {...props}
      hold={hold}
      button={waitOver(step, view, now) ? null : <HoldButton hold={hold} repair={repair} />}
    />
  );
}

/** One step of the plan: its instruction, its hold, its record, and what can go wrong. */
function StepRow({ no, ...props }: HoldProps & { no: number }) {
  const { step, view, plan, repair } = props;
  const now = useNow(step.hold?.kind === 'countdown' ? 1000 : 30_000);
  const done = stepDone(step, view, now);
  const { tell } = useWords();
  return (
    <View
      className={`gap-2 border-b border-rule px-4 py-3 ${done ? '' : 'bg-sheet'}`}
      testID={`step-${step.id}`}
    >
      <View className="flex-row items-start gap-3">
        <View
          className={`mt-0.5 h-6 w-6 items-center justify-center rounded-full border-[1.5px] border-ink ${done && step.hold ? 'bg-ink' : ''}`}
        >
          <Txt as="label" className={done && step.hold ? 'text-sheet' : 'text-ink'}>
            {no}
          </Txt>
        </View>
        <View className="min-w-0 flex-1 gap-1">
          <View className="flex-row items-baseline justify-between gap-2">
            <Txt as="row" className="flex-1">
              {tell(step.title)}
            </Txt>
            <Txt as="label">
              {stepTime(step) > 0 ? formatDuration(stepTime(step)) : ''}
              {step.people > 1 ? t(', {people} people', { people: step.people }) : ''}
            </Txt>
          </View>
          <StepWords step={step} />
          <Waits step={step} view={view} plan={plan} now={now} />
        </View>
        {step.hold?.kind === 'check' ? <Tick step={step} done={done} repair={repair} /> : null}
      </View>
      <View className="gap-2 pl-9">
        <StepFigures step={step} plan={plan} />
        <Counted step={step} view={view} repair={repair} />
        <Meet {...props} />
        <Verdict step={step} view={view} />
        <TickedBy step={step} view={view} />
        <PresentAt id={view.id} stepId={step.id} />
        <WhatCanGoWrong step={step} plan={plan} />
      </View>
    </View>
  );
}

/** All steps of one station, numbered. */
export function StepList({
  station,
  view,
  plan,
  repair,
}: {
  station: Step['station'];
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}) {
  const steps = plan.steps.filter((s) => s.station === station);
  return (
    <View>
      <View className="flex-row items-center justify-between border-b border-rule px-4">
        <Txt as="label">
          {t('{steps, plural, one {# step} other {# steps}} here', { steps: steps.length })}
        </Txt>
        <LinkButton
          label={t('One at a time')}
          testID="one-at-a-time"
          onPress={() => router.navigate(`/repair/${view.id}/run`)}
        />
      </View>
      {steps.map((step, i) => (
        <StepRow key={step.id} step={step} no={i + 1} view={view} plan={plan} repair={repair} />
      ))}
    </View>
  );
}
