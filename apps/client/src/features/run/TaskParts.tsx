import type { OpenRepair } from '@/shared/repair/useRepair';
import { batchMoments, type RepairView } from '@kelmot/contract';
import { STATION_NAMES, type Task, type Plan, type Step, type Message, t } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import {
  OverrideForm,
  HoldButton,
  HoldFields,
  NextBatch,
  TickedBy,
  Verdict,
  WhatCanGoWrong,
  type useBatches,
  tickOf,
  type HoldAct,
} from '@/features/stations';
import { LinkButton, SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import type { Run, TaskProps } from './useRun';

export function ToWeigh({ view, plan }: { view: RepairView; plan: Plan }) {
  return (
    <View className="-mx-4">
      <NextBatch view={view} plan={plan} named={false} />
    </View>
  );
}

export function WhyAgain({ again, tell }: { again: Message; tell: (message: Message) => string }) {
  return (
    <Txt as="row" className="text-oxideInk" role="alert">
      {t('Again. {again}', { again: tell(again) })}
    </Txt>
  );
}

export const WithoutClock = ({ go }: { go: () => void }) => (
  <LinkButton label={t('Go on without this clock')} testID="let-count-go" onPress={go} />
);

export function TaskHold({
  step,
  props,
  hold,
  recorded,
  repair,
}: {
  step: Step;
  props: TaskProps;
  hold: HoldAct;
  recorded: boolean;
  repair: OpenRepair;
}) {
  return (
    <View className="border-b border-rule bg-sheet px-4 pb-3">
      <HoldFields
        {...props}
        step={step}
        hold={hold}
        button={recorded ? <HoldButton hold={hold} repair={repair} /> : null}
      />
    </View>
  );
}

export function AfterTask({
  step,
  view,
  batch,
  done,
  repair,
  onScaleNow,
  now,
  plan,
  running,
  at,
  run,
}: {
  step: Step;
  view: RepairView;
  batch: Task['batch'];
  done: boolean;
  repair: OpenRepair;
  onScaleNow: boolean;
  now: number;
  plan: Plan;
  running: ReturnType<typeof useBatches>['running'];
  at: number;
  run: Run;
}) {
  return (
    <View className="gap-2 border-b border-rule bg-sheet px-4 pb-2">
      <Verdict step={step} view={view} />
      <TickedBy step={step} view={view} batchNo={batch?.no} />
      {done && step.hold?.kind === 'check' ? (
        <SecondaryButton
          label={t('Not done: undo')}
          testID="run-take-back"
          disabled={!repair.canWrite}
          onPress={() => repair.send(tickOf(step, false, batch?.no ?? null))}
        />
      ) : null}
      {running && onScaleNow && now > batchMoments(plan, running.batch, running.mix).ends ? (
        <SecondaryButton
          label={t('Placed in time')}
          testID="run-was-placed"
          disabled={!repair.canWrite}
          onPress={() => repair.send({ type: 'mix.placed', mixId: running.mix.id })}
        />
      ) : null}
      <WhatCanGoWrong step={step} plan={plan} />
      {at === run.current && !done && batch === null ? (
        <OverrideForm step={step} view={view} repair={repair} />
      ) : null}
    </View>
  );
}

export function WhereItIs({
  at,
  run,
  step,
  done,
  id,
}: {
  at: number;
  run: Run;
  step: Step;
  done: boolean;
  id: string;
}) {
  return (
    <View className="flex-row items-center justify-between gap-3">
      <Txt as="label" role="status" className="min-w-0 flex-1">
        {t(
          '{no} of {tasks}, {station}{state, select, current {} done {, done} other {, not the current step yet}}',
          {
            no: at + 1,
            tasks: run.tasks.length,
            station: STATION_NAMES[step.station],
            state: at === run.current ? 'current' : done ? 'done' : 'later',
          },
        )}
      </Txt>
      <LinkButton
        label={t('Hand over')}
        testID="run-handover"
        onPress={() => router.navigate(`/repair/${id}/handover`)}
      />
      <LinkButton
        label={t('All steps')}
        hint={t('All steps of {station}', { station: STATION_NAMES[step.station] })}
        testID="run-list"
        onPress={() => router.navigate(`/repair/${id}/${step.station}`)}
      />
    </View>
  );
}
