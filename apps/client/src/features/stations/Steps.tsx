import { judgeReading, stepDone, type ReadingValues, type RepairView } from '@kelmot/contract';
import {
  clockText,
  parseQuantity,
  say,
  shownUnit,
  type Hold,
  type Plan,
  type Step,
} from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import type { OpenRepair } from '@/features/repair/useRepair';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { textsDropped, textTyped } from '@/store/drafts';
import { Disclosure, SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { FigureText } from '@/ui/FigureText';
import { StopMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { zoneMin } from '@/ui/useNow';
import { GateReading } from './GateReading';

interface StepProps {
  step: Step;
  no: number;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}

/** A text kept on the device under a key until it has been recorded. */
export function useKeptText(key: string): [string, (text: string) => void, () => void] {
  const dispatch = useAppDispatch();
  const text = useAppSelector((s) => s.drafts.texts[key] ?? '');
  return [text, (t) => dispatch(textTyped({ key, text: t })), () => dispatch(textsDropped([key]))];
}

function ReadingHold({
  step,
  hold,
  plan,
  view,
  repair,
}: StepProps & { hold: Extract<Hold, { kind: 'reading' }> }) {
  const units = useAppSelector((s) => s.settings.units);
  const [text, setText, drop] = useKeptText(`${view.id}/${step.id}`);
  const [error, setError] = useState<string>();
  const limits = [
    hold.min !== null ? `${say(hold.min, hold.quantity, units)} or more` : null,
    hold.max !== null ? `${say(hold.max, hold.quantity, units)} or less` : null,
  ]
    .filter(Boolean)
    .join(', ');
  const record = () => {
    const parsed = parseQuantity(text, hold.quantity, units);
    if (!parsed.ok) return setError(`${parsed.message} It needs ${limits}.`);
    setError(undefined);
    const values: ReadingValues = { kind: 'reading', value: parsed.value };
    repair.send({ type: 'reading.add', stepId: step.id, values });
    if (judgeReading(hold, values, plan).passed) drop();
  };
  return (
    <FieldFrame label={hold.label} why={limits} error={error}>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <TextBox
            id={`reading-${step.id}`}
            label={hold.label}
            text={text}
            onText={setText}
            unit={shownUnit(hold.quantity, units).symbol}
            numeric
            error={error}
          />
        </View>
        <SecondaryButton
          label="Record"
          hint={`Record ${hold.label}`}
          testID={`record-${step.id}`}
          onPress={record}
          disabled={!repair.canWrite}
        />
      </View>
    </FieldFrame>
  );
}

function HardnessHold({
  step,
  hold,
  view,
  repair,
  plan,
}: StepProps & { hold: Extract<Hold, { kind: 'hardness' }> }) {
  const [text, setText, drop] = useKeptText(`${view.id}/${step.id}`);
  const [error, setError] = useState<string>();
  const record = () => {
    const values = text
      .split(/[\s,;]+/)
      .filter(Boolean)
      .map(Number);
    if (values.length === 0 || values.some((v) => !Number.isFinite(v) || v < 0 || v > 100)) {
      return setError('Type Shore D readings from 0 to 100 with spaces between, such as 86 85 87.');
    }
    setError(undefined);
    const reading: ReadingValues = { kind: 'hardness', values };
    repair.send({ type: 'reading.add', stepId: step.id, values: reading });
    if (judgeReading(hold, reading, plan).passed) drop();
  };
  return (
    <FieldFrame
      label="Shore D readings"
      why={`${hold.minReadings} or more, each ${hold.target} or over`}
      error={error}
    >
      <View className="flex-row gap-2">
        <View className="flex-1">
          <TextBox
            id={`reading-${step.id}`}
            label="Shore D readings"
            text={text}
            onText={setText}
            numeric
            error={error}
            placeholder="86 85 87"
          />
        </View>
        <SecondaryButton
          label="Record"
          hint="Record hardness"
          testID={`record-${step.id}`}
          onPress={record}
          disabled={!repair.canWrite}
        />
      </View>
    </FieldFrame>
  );
}

function HoldControl(props: StepProps) {
  const { hold } = props.step;
  if (!hold || hold.kind === 'check') return null;
  if (hold.kind === 'ambient') return <GateReading {...props} />;
  if (hold.kind === 'hardness') return <HardnessHold {...props} hold={hold} />;
  return <ReadingHold {...props} hold={hold} />;
}

/** The tick of a step that is done by doing it. */
function Tick({ step, done, repair }: { step: Step; done: boolean; repair: OpenRepair }) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={done}
      aria-label={`${step.title}: done`}
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

/** One step of the plan: what to do, its hold, what was recorded, and what can go wrong. */
export function StepRow(props: StepProps) {
  const { step, no, view, plan, repair } = props;
  const [open, setOpen] = useState(false);
  const done = stepDone(step, view);
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
              {step.title}
            </Txt>
            <Txt as="label">
              {step.minutes > 0 ? say(step.minutes, 'time') : ''}
              {step.people > 1 ? `, ${step.people} people` : ''}
            </Txt>
          </View>
          <Txt>{step.text}</Txt>
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
              {last.say}{' '}
              <Txt as="label">
                {clockText(Date.parse(last.takenAt), zoneMin())}, {last.by}
              </Txt>
            </Txt>
          </View>
        ) : null}
        {step.wrong.length > 0 ? (
          <Disclosure label="What can go wrong" open={open} onToggle={() => setOpen(!open)}>
            {step.wrong.map((w) => (
              <Txt key={w.sign}>
                <Txt as="strong">{w.sign}. </Txt>
                {w.remedy}
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
