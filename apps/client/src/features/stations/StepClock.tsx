import { countedName, countedOf, startedClocks, waitEnd, type RepairView } from '@kelmot/contract';
import { clockText, formatDuration, type Message, type Plan, type Step, t } from '@kelmot/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { SecondaryButton } from '@/shared/ui/Button';
import { Countdown } from '@/shared/ui/Countdown';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';

interface CountProps {
  step: Step;
  view: RepairView;
  repair: OpenRepair;
}

/** A running clock and what it counts; empty once it is over. It follows the record, not the device. */
export function ClockRow({ ends, label }: { ends: number; label: Message }) {
  const zone = useZone();
  const now = useNow(1000);
  const { tell } = useWords();
  if (ends <= now) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-4" role="timer">
      <Countdown to={ends} />
      <Txt as="inline">
        {t('{label}, until {ends}', { label: tell(label), ends: clockText(ends, zone) })}
      </Txt>
    </View>
  );
}

/** The wait of a step, while it runs. */
export function Wait({ step, view }: { step: Step; view: RepairView }) {
  const ends = waitEnd(step, view);
  if (step.hold?.kind !== 'countdown' || ends === null) return null;
  return <ClockRow ends={ends} label={step.hold.label} />;
}

/** The clocks that run at other steps of the repair. */
export function OtherStepClocks({ step, view, plan }: Omit<CountProps, 'repair'> & { plan: Plan }) {
  const now = useNow(1000);
  return startedClocks(view, plan)
    .filter(({ at, stepId }) => at > now && stepId !== null && stepId !== step.id)
    .map(({ at, label }) => <ClockRow key={at} ends={at} label={label} />);
}

/** What is counted at a step, and the command that starts the next count. */
export function useCount({ step, view, repair }: CountProps) {
  const now = useNow(1000);
  const { say } = useWords();
  const counted = countedOf(step, view.readings);
  if (!counted) return null;
  const { timed, begun, ends } = counted;
  const of = (no: number) => `${say(countedName(timed, no))}, ${formatDuration(timed.minutes)}`;
  return {
    ...counted,
    runs: ends !== null && ends > now,
    startLabel:
      begun < timed.times
        ? t('Start: {of}', { of: of(begun + 1) })
        : t('Once more: {of}', { of: of(begun + 1) }),
    waitLabel: t('Wait: {of}', { of: of(begun) }),
    start: () =>
      repair.send({
        type: 'reading.add',
        stepId: step.id,
        values: { kind: 'timed', no: begun + 1 },
      }),
  };
}

/** The counts of a step, one after another: the running clock or the last count, and the next. */
export function Counted({ children, ...props }: CountProps & { children?: ReactNode }) {
  const { tell } = useWords();
  const count = useCount(props);
  if (!count) return null;
  const { timed, begun, ends, runs } = count;
  return (
    <View className="gap-2" testID={`counted-${props.step.id}`}>
      {runs && ends !== null ? (
        <ClockRow ends={ends} label={countedName(timed, begun)} />
      ) : begun > 0 ? (
        <Txt as="inline" className="text-mossInk" role="status">
          {t('{name}: {duration}, over.', {
            name: tell(countedName(timed, begun)),
            duration: formatDuration(timed.minutes),
          })}
        </Txt>
      ) : null}
      {children ??
        (props.repair.canWrite && !runs ? (
          <SecondaryButton
            label={count.startLabel}
            testID={`count-${props.step.id}`}
            onPress={count.start}
          />
        ) : null)}
    </View>
  );
}
