import type { RepairView } from '@kelmot/contract';
import { parseQuantity, shownUnit, type Plan, type QuantityId, type Step } from '@kelmot/core';
import { ambientGate, goFromC } from '@kelmot/core/ambient/ambientGate';
import { useState } from 'react';
import { View } from 'react-native';
import type { OpenRepair } from '@/features/repair/useRepair';
import { textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { DewGauge } from '@/ui/Gauges';

const INPUTS: {
  id: 'airC' | 'rhPct' | 'surfaceC';
  label: string;
  quantity: QuantityId;
  min: number;
  max: number;
  range: string;
}[] = [
  {
    id: 'airC',
    label: 'Air',
    quantity: 'temperature',
    min: -40,
    max: 60,
    range: 'From −40 to 60 °C.',
  },
  {
    id: 'rhPct',
    label: 'Humidity',
    quantity: 'percent',
    min: 1,
    max: 100,
    range: 'From 1 to 100 %.',
  },
  {
    id: 'surfaceC',
    label: 'Steel',
    quantity: 'temperature',
    min: -40,
    max: 120,
    range: 'From −40 to 120 °C.',
  },
];

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
  const read = INPUTS.map((input) => {
    const key = `${view.id}/${step.id}/${input.id}`;
    const text = texts[key] ?? '';
    const parsed = parseQuantity(text, input.quantity, units);
    const inside = parsed.ok && parsed.value >= input.min && parsed.value <= input.max;
    return { ...input, key, text, value: inside ? parsed.value : null };
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
            <FieldFrame label={r.label} error={shown && r.value === null ? r.range : undefined}>
              <TextBox
                id={`gate-${r.id}`}
                label={r.label}
                text={r.text}
                onText={(text) => dispatch(textTyped({ key: r.key, text }))}
                unit={shownUnit(r.quantity, units).symbol}
                numeric
                error={shown && r.value === null ? r.range : undefined}
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
