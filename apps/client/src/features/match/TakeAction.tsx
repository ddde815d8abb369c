import {
  schoolsOf,
  familyOf,
  chosenSchools,
  type Intent,
  type Schools,
  type Survey,
  type SystemCard,
  t,
} from '@kelmot/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { planning } from '@/shared/repair/planning';
import { useDevicePlanner } from '@/shared/repair/useDevicePlanner';
import { type OpenRepair } from '@/shared/repair/useRepair';
import { LinkButton, PrimaryButton } from '@/shared/ui/Button';
import { lastPlanOf, type RepairView } from '@kelmot/contract';
import { ConfirmNewPlan } from './ConfirmNewPlan';

/** The person's choices at Match. */
interface Choosing {
  view: RepairView;
  repair: OpenRepair;
  survey: Survey;
  intent: Intent;
  schools: Schools;
  seconds: Readonly<Record<string, string>>;
  /** The selected card. */
  card: SystemCard | undefined;
  now: number;
}

/** Makes a plan with the selected card. Asks for confirmation first if the present plan has records. */
export function useTake({ view, repair, survey, intent, schools, seconds, card, now }: Choosing) {
  const [isAsked, setAsked] = useState(false);
  const code = card?.code;
  const same = view.plan?.body.card.code === code && view.intent === intent;
  const taken = chosenSchools(
    schoolsOf(familyOf(view.survey.family).method.schools, card),
    schools,
  );
  const before = view.plan?.body;
  const sameSchools =
    JSON.stringify([taken, seconds]) ===
    JSON.stringify([before?.schools ?? taken, before?.seconds ?? {}]);
  const last = lastPlanOf(view);
  const worked = last && last.checks.length + last.readings.length > 0 ? last : null;
  const { plan: planWith } = useDevicePlanner(worked !== null, planning);
  const choice = { cardCode: code ?? '', intent, schools: taken, seconds };
  const makes = !same || !sameSchools;
  const go = () => {
    if (makes) repair.send({ type: 'plan.make', planId: uuidv7(), ...choice });
    router.navigate(`/repair/${view.id}/prep`);
  };
  const take = () => {
    if (!code || !repair.canWrite) return;
    if (worked && makes) setAsked(true);
    else go();
  };
  const next = () =>
    planWith({ ...survey, intent }, { ...choice, at: new Date(now).toISOString() });
  return { next, asking: isAsked ? worked : null, take, go, stay: () => setAsked(false) };
}

/** The main button of Match: uses the selected card, or asks for what must be done before that. */
export function TakeAction({
  id,
  code,
  canWrite,
  state,
  taking: { take, asking, next, go, stay },
}: {
  id: string;
  code: string | undefined;
  canWrite: boolean;
  state: 'begun' | 'refused' | 'trial' | 'open';
  taking: ReturnType<typeof useTake>;
}) {
  const toPrep = () => router.navigate(`/repair/${id}/prep`);
  if (asking && code)
    return <ConfirmNewPlan last={asking} next={next()} code={code} onTake={go} onStay={stay} />;
  if (state === 'begun')
    return <PrimaryButton label={t('On to Prep')} onPress={toPrep} testID="take" />;
  if (state === 'trial')
    return (
      <PrimaryButton
        label={t('Keep or undo the change that you try first')}
        disabled
        onPress={take}
        testID="take"
      />
    );
  if (state === 'open')
    return (
      <PrimaryButton
        label={
          code
            ? t('Use {code}, go to Prep', { code })
            : t('No material fits: change the survey, or call a specialist')
        }
        disabled={!code || !canWrite}
        onPress={take}
        testID="take"
      />
    );
  return (
    <View>
      <PrimaryButton
        label={t('Referral sheet')}
        testID="referral"
        onPress={() => router.navigate(`/referral/${id}`)}
      />
      {/* A choice that needs approval gets a secondary button, never the main one. */}
      {code && canWrite ? (
        <LinkButton
          label={t('After their decision: {code} to Prep', { code })}
          testID="take"
          onPress={take}
        />
      ) : null}
    </View>
  );
}
