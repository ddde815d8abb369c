import { t } from '@kelmot/core';
import { MOST_NOTE, mayGoOnWithout, type RepairView } from '@kelmot/contract';
import type { Step } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { LinkButton, SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';
import { trimmedReason } from './trimmedReason';
import { useSavedText } from '../../shared/repair/useSavedText';

interface GoOnWithoutProps {
  step: Step;
  view: RepairView;
  repair: OpenRepair;
}

/**
 * An override: the job goes on without meeting a hold. Asks an authorised person for the reason; the record marks it.
 */
export function OverrideForm({ step, view, repair }: GoOnWithoutProps) {
  const { say, tell } = useWords();
  const [opened, setOpened] = useState<string | null>(null);
  const [why, setWhy, dropWhy] = useSavedText(`${view.id}/${step.id}/override`);
  const { me } = repair;
  if (!me || !repair.canWrite || step.hold === null) return null;
  if (opened !== step.id)
    return (
      <LinkButton
        label={t('Skip this check')}
        hint={t('Skip this check: {title}', { title: tell(step.title) })}
        testID="go-on-without"
        onPress={() => setOpened(step.id)}
      />
    );
  const held = mayGoOnWithout(step, me);
  if (held)
    return (
      <View className="flex-row items-center gap-3 py-2" role="status" testID="not-without">
        <StopMark maybe size={26} />
        <View className="min-w-0 flex-1">
          <Txt as="inline">{say(held.title)}.</Txt>
          <Txt as="label">{held.why.map(say).join(' ')}</Txt>
        </View>
      </View>
    );
  const reason = trimmedReason(why);
  return (
    <View className="gap-2 py-2">
      <FieldFrame
        label={t('Reason for skipping')}
        why={t('Saved in the record under your name, and marked there and at sign-off.')}
      >
        <TextBox
          id="override-why"
          label={t('Reason for skipping')}
          most={MOST_NOTE}
          text={why}
          onText={setWhy}
          multiline
        />
      </FieldFrame>
      <SecondaryButton
        label={t('Override, {name}', { name: me.name })}
        testID="override-hold"
        disabled={reason === null}
        onPress={() => {
          if (reason === null) return;
          const values = { kind: 'override', why: reason } as const;
          repair.send({ type: 'reading.add', stepId: step.id, values });
          dropWhy();
          setOpened(null);
        }}
      />
    </View>
  );
}
