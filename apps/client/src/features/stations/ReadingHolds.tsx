import { judgeReading, type ReadingValues } from '@kelmot/contract';
import { parseQuantity, say, shownUnit, type Hold } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { useWords } from '@/ui/useWords';
import { SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import type { StepProps } from './Steps';
import { useKeptText } from './useKeptText';

/** One figure against its limits. */
export function ReadingHold({
  step,
  hold,
  plan,
  view,
  repair,
}: StepProps & { hold: Extract<Hold, { kind: 'reading' }> }) {
  const { units, tell } = useWords();
  const label = tell(hold.label);
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
    <FieldFrame label={label} why={limits} error={error}>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <TextBox
            id={`reading-${step.id}`}
            label={label}
            text={text}
            onText={setText}
            unit={shownUnit(hold.quantity, units).symbol}
            numeric
            error={error}
          />
        </View>
        <SecondaryButton
          label="Record"
          hint={`Record ${label}`}
          testID={`record-${step.id}`}
          onPress={record}
          disabled={!repair.canWrite}
        />
      </View>
    </FieldFrame>
  );
}

type SetOf = Extract<Hold, { kind: 'hardness' | 'thickness' }>;

/** What a set of readings is called, its limits, and how its texts are read. */
function useSet(hold: SetOf) {
  const units = useAppSelector((s) => s.settings.units);
  if (hold.kind === 'hardness')
    return {
      label: `Shore ${hold.scale} readings`,
      why: `${hold.minReadings} or more, each ${hold.target} or over`,
      placeholder: `${hold.target + 1} ${hold.target + 3} ${hold.target + 2}`,
      wrong: `Type Shore ${hold.scale} readings from 0 to 100 with spaces between, such as 86 85 87.`,
      read: (texts: string[]): ReadingValues | null => {
        const values = texts.map(Number);
        return values.every((v) => Number.isFinite(v) && v >= 0 && v <= 100)
          ? { kind: 'hardness', values }
          : null;
      },
    };
  const target = say(hold.targetMm, 'length', units);
  const { symbol } = shownUnit('length', units);
  return {
    label: `Thicknesses, ${symbol}`,
    why: `${hold.minReadings} or more; mean ${target}, none under four fifths of it`,
    placeholder: '',
    wrong: `Type thicknesses in ${symbol} with spaces between, each over 0.`,
    read: (texts: string[]): ReadingValues | null => {
      const values = texts.map((t) => parseQuantity(t, 'length', units));
      return values.every((v) => v.ok && v.value > 0 && v.value <= 1000)
        ? { kind: 'thickness', valuesMm: values.map((v) => (v.ok ? v.value : 0)) }
        : null;
    },
  };
}

/** Several readings of one thing, typed with spaces between. */
export function SetHold({ step, hold, view, repair, plan }: StepProps & { hold: SetOf }) {
  const [text, setText, drop] = useKeptText(`${view.id}/${step.id}`);
  const [error, setError] = useState<string>();
  const { label, why, placeholder, wrong, read } = useSet(hold);
  const record = () => {
    const texts = text.split(/[\s;]+/).filter(Boolean);
    const values = texts.length > 0 ? read(texts) : null;
    if (!values) return setError(wrong);
    setError(undefined);
    repair.send({ type: 'reading.add', stepId: step.id, values });
    if (judgeReading(hold, values, plan).passed) drop();
  };
  return (
    <FieldFrame label={label} why={why} error={error}>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <TextBox
            id={`reading-${step.id}`}
            label={label}
            text={text}
            onText={setText}
            numeric
            error={error}
            placeholder={placeholder}
          />
        </View>
        <SecondaryButton
          label="Record"
          hint={`Record ${hold.kind}`}
          testID={`record-${step.id}`}
          onPress={record}
          disabled={!repair.canWrite}
        />
      </View>
    </FieldFrame>
  );
}
