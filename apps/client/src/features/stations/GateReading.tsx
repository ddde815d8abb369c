import type { RepairView } from '@kelmot/contract';
import { readField, shownUnit, type Plan, type Step } from '@kelmot/core';
import { readingFields } from '@kelmot/core/survey/common';
import { ambientGate, goFromC } from '@kelmot/core/ambient/ambientGate';
import { useState } from 'react';
import { View } from 'react-native';
import type { OpenRepair } from '@/features/repair/useRepair';
import { textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { DewGauge } from '@/ui/Gauges';

/** The dew point gate: three readings typed, the gauge live, the verdict recorded. */
export function GateReading({
  step,
  view,
  plan,
  repair,
}: {
  step: Step;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((s) => s.settings.units);
  const texts = useAppSelector((s) => s.drafts.texts);
  const [shown, setShown] = useState(false);
  const [width, setWidth] = useState(0);
  const read = Object.entries(readingFields).map(([id, field]) => {
    const key = `${view.id}/${step.id}/${id}`;
    const text = texts[key] ?? '';
    const result = readField(field, text, units);
    const value = 'value' in result ? Number(result.value) : null;
    const error = shown && 'message' in result ? result.message : undefined;
    return { id, key, text, value, error, label: field.label, quantity: field.quantity };
  });
  const [air, rh, surface] = read.map((r) => r.value);
  const whole =
    air != null && rh != null && surface != null
      ? { airC: air, rhPct: rh, surfaceC: surface }
      : null;
  const limits = plan.card.ambient;
  const gate = whole && ambientGate({ ...whole, ...limits });
  const record = () => {
    setShown(true);
    if (whole)
      repair.send({ type: 'reading.add', stepId: step.id, values: { kind: 'ambient', ...whole } });
  };
  return (
    <View className="gap-3" onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      <View className="flex-row gap-2">
        {read.map((r) => (
          <View key={r.id} className="min-w-0 flex-1">
            <FieldFrame label={r.label} error={r.error}>
              <TextBox
                id={`gate-${r.id}`}
                label={r.label}
                text={r.text}
                onText={(text) => dispatch(textTyped({ key: r.key, text }))}
                unit={shownUnit(r.quantity, units).symbol}
                numeric
                error={r.error}
              />
            </FieldFrame>
          </View>
        ))}
      </View>
      {gate && whole && width > 0 ? (
        <DewGauge
          width={width}
          dewPointC={gate.frostPointC ?? gate.dewPointC}
          surfaceC={whole.surfaceC}
          goFromC={goFromC(whole, limits)}
          go={gate.verdict === 'go'}
        />
      ) : null}
      <SecondaryButton
        label="Record readings"
        testID="record-gate"
        onPress={record}
        disabled={!repair.canWrite}
      />
    </View>
  );
}
