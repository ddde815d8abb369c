import { t } from '@kelmot/core';
import { readPlanFile, type PlanFile } from '@kelmot/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { chosenFile } from '@/offline/chosenFile';
import { siteTime } from '@/store/clock';
import { useAppSelector } from '@/store/hooks';
import { useSend } from '@/store/useSend';
import { usePerson } from '@/store/usePerson';
import { SecondaryButton } from '@/shared/ui/Button';
import { FieldError } from '@/shared/ui/fields';

type Read = { file: PlanFile } | { say: string };

/** Reads a plan file, or names the field with the error. */
function readPlan(text: string): Read {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { say: t('This is not JSON: {message}', { message: (error as Error).message }) };
  }
  const read = readPlanFile(raw);
  return read.ok ? { file: read.file } : { say: read.say };
}

/** Begins a repair from a plan file: its survey, card and schools, planned again with this site's cards and shelf. */
export function FromPlanFile() {
  const send = useSend();
  const clock = useAppSelector((s) => s.clock);
  const me = usePerson();
  const [said, setSaid] = useState<string>();
  const open = async () => {
    const chosen = await chosenFile('application/json,.json');
    if (!chosen) return;
    const read = readPlan(await chosen.text());
    if ('say' in read) return setSaid(read.say);
    const { survey, card, schools, seconds } = read.file.plan;
    const repairId = uuidv7();
    const at = new Date(siteTime(clock)).toISOString();
    // The asset is looked up by its tag: its id belongs to this site.
    const timed = {
      ...survey,
      asset: { ...survey.asset, id: null },
      window: { ...survey.window, startAt: at },
    };
    send(
      { type: 'repair.create', repairId, survey: timed },
      {
        type: 'plan.make',
        repairId,
        expect: 1,
        planId: uuidv7(),
        cardCode: card.code,
        intent: survey.intent,
        schools,
        seconds,
      },
    );
    router.replace(`/repair/${repairId}/prep`);
  };
  if (me?.role === 'viewer') return null;
  return (
    <View className="gap-2">
      <SecondaryButton
        label={t('Start from a plan file')}
        testID="from-plan-file"
        onPress={() => void open()}
      />
      <FieldError error={said} testID="plan-file-said" />
    </View>
  );
}
