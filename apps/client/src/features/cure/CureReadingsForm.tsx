import {
  CURE,
  SURFACE_C,
  WARMER_NAMES,
  WARMERS,
  type CureValues,
  type RepairView,
} from '@kelmot/contract';
import { parseQuantity, formatQuantity, shownUnit, type Plan, t } from '@kelmot/core';
import { plannedTemp } from '@kelmot/core/run/runPlan';
import { useState } from 'react';
import { View } from 'react-native';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { useSavedText } from '@/shared/repair/useSavedText';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { Disclosure, SecondaryButton } from '@/shared/ui/Button';
import { CheckBox, FieldFrame, TextBox } from '@/shared/ui/fields';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';
import { LogFileImport, LoggerImport } from './LogImport';

interface SeesProps {
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
  /** When its first batch was mixed, epoch ms. */
  mixedAt: number;
}

/** A figure that is typed and recorded at once. An error is shown below the box, and the text stays. */
function Typed({
  keptAs,
  id,
  label,
  why,
  unit,
  read,
  record,
}: {
  keptAs: string;
  id: string;
  label: string;
  why?: string;
  unit?: string;
  read: (text: string) => { value: number } | { wrong: string };
  record: (value: number) => void;
}) {
  const [text, setText, drop] = useSavedText(keptAs);
  const [tried, setTried] = useState(false);
  const found = read(text);
  const go = () => {
    setTried('wrong' in found);
    if ('wrong' in found) return goToFirstWrong();
    record(found.value);
    drop();
  };
  return (
    <FieldFrame label={label} why={why} error={tried && 'wrong' in found ? found.wrong : undefined}>
      <View className="flex-row gap-2">
        <View className="min-w-0 flex-1">
          <TextBox id={id} label={label} text={text} onText={setText} unit={unit} numeric />
        </View>
        <SecondaryButton
          label={t('Record')}
          hint={t('Record {label}', { label })}
          testID={`${id}-record`}
          onPress={go}
        />
      </View>
    </FieldFrame>
  );
}

/** Readings of a running cure: temperature by hand, logger or file, heating, and the hardness of the sample. */
export function CureReadingsForm({ view, plan, repair, mixedAt }: SeesProps) {
  const plannedC = plannedTemp(plan);
  const [more, setMore] = useState(false);
  const { units } = useWords();
  const clock = useAppSelector((s) => s.clock);
  const record = (values: CureValues) => repair.send({ type: 'reading.add', stepId: CURE, values });
  const hard = plan.card.service.hardness;
  const limit = (tempC: number) => formatQuantity(tempC, 'temperature', units);
  const isOn = (by: (typeof WARMERS)[number]): boolean =>
    view.readings.reduce(
      (on, { values: v }) => (v.kind === 'heat' && v.by === by ? v.on : on),
      false,
    );
  return (
    <View
      className="gap-3 border-b border-ink px-4 py-3"
      role="group"
      aria-label={t('Readings during cure')}
    >
      <Typed
        keptAs={`${view.id}/cure/temp`}
        id="cure-temp"
        label={t('Surface temperature now')}
        why={t('planned {planned}', { planned: limit(plannedC) })}
        unit={shownUnit('temperature', units).symbol}
        read={(text) => {
          const parsed = parseQuantity(text, 'temperature', { system: units });
          return parsed.ok && parsed.value >= SURFACE_C.least && parsed.value <= SURFACE_C.most
            ? { value: parsed.value }
            : {
                wrong: parsed.ok
                  ? t('Must be {least} to {most}.', {
                      least: limit(SURFACE_C.least),
                      most: limit(SURFACE_C.most),
                    })
                  : parsed.message,
              };
        }}
        record={(tempC) => {
          const from = new Date(siteTime(clock)).toISOString();
          record({ kind: 'temperatures', from, rows: [{ atMin: 0, tempC }] });
        }}
      />
      <LoggerImport view={view} plannedC={plannedC} mixedAt={mixedAt} record={record} />
      <Disclosure
        label={t('Heater, sample, log from a file')}
        testID="cure-more"
        open={more}
        onToggle={() => setMore(!more)}
      >
        <LogFileImport plan={plan} mixedAt={mixedAt} record={record} />
        <View className="flex-row flex-wrap gap-x-8">
          {WARMERS.map((by) => (
            <CheckBox
              key={by}
              id={`warmer-${by}`}
              label={t('{warmer} on', { warmer: WARMER_NAMES[by] })}
              on={isOn(by)}
              onToggle={() => record({ kind: 'heat', by, on: !isOn(by) })}
            />
          ))}
        </View>
        <FingernailTest record={record} />
        {hard ? <SampleHardness hard={hard} view={view} record={record} /> : null}
      </Disclosure>
    </View>
  );
}

function SampleHardness({
  hard,
  view,
  record,
}: {
  hard: { scale: 'A' | 'D'; least: number };
  view: RepairView;
  record: (values: CureValues) => void;
}) {
  return (
    <Typed
      keptAs={`${view.id}/cure/shore`}
      id="cure-shore"
      label={t('Sample, Shore {scale}', { scale: hard.scale })}
      why={t('{least} or more', { least: hard.least })}
      read={(text) => {
        const value = Number(text.replace(',', '.'));
        return text.trim() !== '' && value >= 0 && value <= 100
          ? { value }
          : { wrong: t('Type a hardness from 0 to 100.') };
      }}
      record={(value) => record({ kind: 'shore', value })}
    />
  );
}

function FingernailTest({ record }: { record: (values: CureValues) => void }) {
  return (
    <View className="gap-1.5" role="group" aria-label={t('Fingernail test of the kept sample')}>
      <Txt as="inline">{t('Fingernail test of the kept sample')}</Txt>
      <View className="flex-row flex-wrap gap-2">
        <SecondaryButton
          label={t('Hard: no mark')}
          testID="sample-hard"
          onPress={() => record({ kind: 'nail', marks: false })}
        />
        <SecondaryButton
          label={t('Soft: the nail leaves a mark')}
          testID="sample-soft"
          onPress={() => record({ kind: 'nail', marks: true })}
        />
      </View>
    </View>
  );
}
