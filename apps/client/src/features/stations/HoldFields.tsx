import type { Plan } from '@kelmot/core';
import { ambientGate, goFromC } from '@kelmot/core/ambient/ambientGate';
import { instrumentFor } from '@kelmot/core/run/instrumentFor';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { ReadInstrument, useDriver } from '@/features/instruments';
import { Pictures } from '@/features/pictures';
import { SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox, FieldError } from '@/shared/ui/fields';
import { DewGauge } from '@/shared/ui/Gauges';
import { VALUE } from './entry';
import { ListFromFile } from './ListFromFile';
import { Wait } from './StepClock';
import type { HoldAct, HoldProps } from './useHold';

/** The dew point of the typed values, against the limits of the card. */
function Gauge({ plan, hold }: { plan: Plan; hold: HoldAct }) {
  const [width, setWidth] = useState(0);
  const read = hold.entry?.read(hold.typed);
  const values = read && 'values' in read ? read.values : null;
  const limits = plan.card.ambient;
  const gate = values?.kind === 'ambient' ? ambientGate({ ...values, ...limits }) : null;
  return (
    <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      {gate && values?.kind === 'ambient' && width > 0 ? (
        <DewGauge
          width={width}
          dewPointC={gate.frostPointC ?? gate.dewPointC}
          surfaceC={values.surfaceC}
          goFromC={goFromC(values, limits)}
          go={gate.verdict === 'go'}
        />
      ) : null}
    </View>
  );
}

/** The instrument that can read a hold, if one can be reached. */
function ByInstrument({ step, plan, hold }: Pick<HoldProps, 'step' | 'plan'> & { hold: HoldAct }) {
  const by = useMemo(() => instrumentFor(step.hold, plan), [step.hold, plan]);
  const expected = useCallback(() => by?.expects ?? [], [by]);
  const driver = useDriver(by?.device.id, expected);
  if (!by || !driver) return null;
  return (
    <ReadInstrument
      key={step.id}
      by={by}
      driver={driver}
      verdict={hold.verdictOf}
      take={hold.take}
    />
  );
}

/** The button of a hold, where it is not the main button of the screen. */
export function HoldButton({ hold, repair }: { hold: HoldAct; repair: HoldProps['repair'] }) {
  return (
    <SecondaryButton
      label={hold.label}
      hint={hold.hint}
      testID={hold.testID}
      disabled={!repair.canWrite}
      onPress={hold.act}
    />
  );
}

/** The inputs of a hold: boxes, clock, pictures. `button` stands beside a single box, otherwise below all. */
export function HoldFields({
  hold,
  button = null,
  ...props
}: HoldProps & { hold: HoldAct; button?: ReactNode }) {
  const { step, view, plan, repair } = props;
  const { entry, typed, type, wrong } = hold;
  const frames = entry?.frames ?? [];
  const single = frames.length === 1 && frames[0]?.boxes.length === 1;
  return (
    <View className="gap-2">
      <Wait step={step} view={view} />
      <Pictures step={step} view={view} repair={repair} />
      {repair.canWrite ? <ByInstrument step={step} plan={plan} hold={hold} /> : null}
      {frames.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          {frames.map((frame, i) => (
            <View key={frame.label} className="min-w-[5.25rem] flex-1">
              <FieldFrame label={frame.label} why={frame.why} error={wrong[i] ?? undefined}>
                <View className={single ? 'flex-row gap-2' : 'gap-2'}>
                  {frame.boxes.map((box) => (
                    <View key={box.id} className={single ? 'flex-1' : ''}>
                      <TextBox
                        id={box.id}
                        label={box.label}
                        text={typed(box.key)}
                        onText={(text) => type(box.key, text)}
                        unit={box.unit}
                        numeric={box.numeric}
                        most={1000}
                        placeholder={box.placeholder}
                      />
                    </View>
                  ))}
                  {single ? button : null}
                </View>
              </FieldFrame>
            </View>
          ))}
        </View>
      ) : (
        <FieldError error={wrong[0]} />
      )}
      {entry?.listOf && repair.canWrite ? (
        <ListFromFile of={entry.listOf} stepId={step.id} take={(text) => type(VALUE, text)} />
      ) : null}
      {step.hold?.kind === 'ambient' ? <Gauge plan={plan} hold={hold} /> : null}
      {single ? null : button}
    </View>
  );
}
