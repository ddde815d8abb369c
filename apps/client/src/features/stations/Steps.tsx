import { linkedFrom, stepDone, type RepairView } from '@kelmot/contract';
import {
  clockText,
  dayClockText,
  formatDuration,
  MINUTE,
  sentence,
  stepTime,
  type Link,
  type Plan,
  type Step,
} from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { OpenRepair } from '@/features/repair/useRepair';
import { Disclosure } from '@/ui/Button';
import { FigureText } from '@/ui/FigureText';
import { StopMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { GateReading } from './GateReading';
import { ApprovalHold, CountdownHold, PhotoHold } from './Holds';
import { ReadingHold, SetHold } from './ReadingHolds';

export interface StepProps {
  step: Step;
  no: number;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}

function HoldControl(props: StepProps) {
  const { hold } = props.step;
  if (!hold || hold.kind === 'check') return null;
  switch (hold.kind) {
    case 'ambient':
      return <GateReading {...props} />;
    case 'hardness':
    case 'thickness':
      return <SetHold {...props} hold={hold} />;
    case 'countdown':
      return <CountdownHold {...props} hold={hold} />;
    case 'photo':
      return <PhotoHold {...props} hold={hold} />;
    case 'approval':
      return <ApprovalHold {...props} hold={hold} />;
    case 'reading':
      return <ReadingHold {...props} hold={hold} />;
  }
}

/** The tick of a step that is done by doing it. */
function Tick({ step, done, repair }: { step: Step; done: boolean; repair: OpenRepair }) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={`${sentence(step.title)}: done`}
      testID={`check-${step.id}`}
      disabled={!repair.canWrite}
      onPress={() => repair.send({ type: 'check.set', stepId: step.id, done: !done, note: '' })}
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

/** The clock of a link, once what it counts from has happened: not before, and not after. */
function linkClock(link: Link, view: RepairView, now: number): string {
  const { least, most } = link;
  const clock = (at: number) => dayClockText(at, now, zoneMin());
  const done = linkedFrom(link, view);
  if (!done) return '';
  const opens = least > 0 ? `From ${clock(done.last + least * MINUTE)}` : '';
  const closes =
    most === null ? '' : `${opens ? ', by ' : 'By '}${clock(done.first + most * MINUTE)}`;
  return opens || closes ? `${opens}${closes}.` : '';
}

/** One step of the plan: what to do, its hold, what was recorded, and what can go wrong. */
function StepRow(props: StepProps) {
  const { step, no, view, plan, repair } = props;
  const [open, setOpen] = useState(false);
  const now = useNow(step.hold?.kind === 'countdown' ? 1000 : 30_000);
  const done = stepDone(step, view, now);
  const { tell } = useWords();
  const waits = plan.links.filter((l) => l.to === step.id && (l.least > 0 || l.most !== null));
  const last = view.readings.filter((r) => r.stepId === step.id).at(-1);
  const figures = step.figures.flatMap((id) => (plan.figures[id] ? [plan.figures[id]] : []));
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
              {step.people > 1 ? `, ${step.people} people` : ''}
            </Txt>
          </View>
          <Txt>{tell(step.text)}</Txt>
          {waits.map((link, i) => (
            <Txt as="label" key={i}>
              {tell(link.why)} {linkClock(link, view, now)}
            </Txt>
          ))}
        </View>
        {step.hold?.kind === 'check' ? <Tick step={step} done={done} repair={repair} /> : null}
      </View>
      {figures.length > 0 ? (
        <View className="flex-row flex-wrap gap-x-6 gap-y-2 pl-9">
          {figures.map((f) => (
            <FigureText key={f.id} figure={f} label={f.label} as="row" />
          ))}
        </View>
      ) : null}
      <View className="gap-2 pl-9">
        <HoldControl {...props} />
        {last ? (
          <View className="flex-row items-start gap-2" role="status" testID={`verdict-${step.id}`}>
            {last.passed ? null : <StopMark size={22} />}
            <Txt
              as="inline"
              className={`min-w-0 flex-1 ${last.passed ? 'text-mossInk' : 'text-oxideInk'}`}
            >
              {tell(last.say)}{' '}
              <Txt as="label">
                {clockText(Date.parse(last.takenAt), zoneMin())}, {last.by}
              </Txt>
            </Txt>
          </View>
        ) : null}
        {step.wrong.length > 0 ? (
          <Disclosure label="What can go wrong" open={open} onToggle={() => setOpen(!open)}>
            {step.wrong.map((w) => (
              <Txt key={w.sign.text}>
                <Txt as="strong">{tell(w.sign)}. </Txt>
                {tell(w.remedy)}
              </Txt>
            ))}
          </Disclosure>
        ) : null}
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
  return plan.steps
    .filter((s) => s.station === station)
    .map((step, i) => (
      <StepRow key={step.id} step={step} no={i + 1} view={view} plan={plan} repair={repair} />
    ));
}
