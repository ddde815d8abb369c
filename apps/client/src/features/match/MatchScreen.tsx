import {
  schoolsOf,
  familyOf,
  INTENT_NAMES,
  INTENTS,
  previewFigures,
  chosenSchools,
  whyFirst,
  withChanges,
  type Intent,
  type Relax,
  type Schools,
  MINUTE,
} from '@kelmot/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { pathName } from '@/shared/repair/pathNames';
import { RepairAside } from '@/shared/repair/RepairAside';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { SectionOf } from '@/shared/repair/SectionOf';
import { planning } from '@/shared/repair/planning';
import { useDevicePlanner } from '@/shared/repair/useDevicePlanner';
import { StationFrame } from '@/features/frame';
import { type OpenRepair } from '@/shared/repair/useRepair';
import { useAppSelector } from '@/store/hooks';
import { errorText } from '@/store/api';
import { LinkButton, PrimaryButton } from '@/shared/ui/Button';
import { Choices } from '@/shared/ui/fields';
import { tabIndexAt } from '@/shared/ui/keyboard';
import { Failed, Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { lastPlanOf, roundsPlaced, type RepairView } from '@kelmot/contract';
import { WorkingSheet } from '@/shared/ui/Working';
import { Compare, MOST_COMPARED } from './Compare';
import { MatchCard } from './MatchCard';
import { RefusalBlock, useRefusals } from './RefusalBlock';
import { SchoolChoices } from './SchoolChoices';
import { SecondChoices } from './SecondChoices';
import { ConfirmNewPlan } from './ConfirmNewPlan';
import { useMatches } from './useMatches';
import { CriteriaWeights } from './CriteriaWeights';
import { TrialBar, WhatIfBlock } from './WhatIfBlock';

/** Match: every card with its verdict, ranked for lasting or stop-gap, and the choice that leads to Prep. */
export function MatchScreen({ view, repair }: { view: RepairView; repair: OpenRepair }) {
  const units = useAppSelector((s) => s.settings.units);
  const now = useNow(MINUTE);
  const [intent, setIntent] = useState<Intent>(view.intent);
  const [picked, setPicked] = useState<string | null>(view.plan?.body.card.code ?? null);
  const [all, setAll] = useState(false);
  const [asking, setAsking] = useState(false);
  const [compared, setCompared] = useState<string[]>([]);
  const [schools, setSchools] = useState<Schools>(view.plan?.body.schools ?? {});
  const [seconds, setSeconds] = useState<Readonly<Record<string, string>>>(
    view.plan?.body.seconds ?? {},
  );
  const [trial, setTrial] = useState<readonly Relax[]>([]);
  const weights = useAppSelector((s) => s.settings.weights[intent]);
  const survey = (trial.length > 0 && withChanges(view.survey, trial)) || view.survey;
  const { ranked, whatIf, loading, error } = useMatches(survey, intent, weights, schools, seconds);
  const usable = ranked.filter((s) => s.match.verdict !== 'no');
  const chosen = usable.find((s) => s.match.card.code === picked) ?? usable[0];
  const code = chosen?.match.card.code;
  const shown = all ? ranked : ranked.slice(0, Math.max(usable.length + 2, 4));
  const begun = view.mixes.length > 0;
  const same = view.plan?.body.card.code === code && view.intent === intent;
  const taken = chosenSchools(
    schoolsOf(familyOf(view.survey.family).method.schools, chosen?.match.card),
    schools,
  );
  // The side pane shows the working of the time to service of the selected card.
  const selected = chosen ? (previewFigures(chosen.match, units).ready ?? null) : null;
  const refused = useRefusals(survey).length > 0;
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
    if (worked && makes) setAsking(true);
    else go();
  };
  const keep = () => {
    repair.send({ type: 'survey.save', survey });
    setTrial([]);
  };
  const compare = (which: string) =>
    setCompared((list) =>
      list.includes(which) ? list.filter((c) => c !== which) : [...list, which],
    );
  const action =
    asking && worked && code ? (
      <ConfirmNewPlan
        last={worked}
        next={planWith({ ...survey, intent }, { ...choice, at: new Date(now).toISOString() })}
        code={code}
        onTake={go}
        onStay={() => setAsking(false)}
      />
    ) : begun ? (
      <PrimaryButton
        label="On to Prep"
        onPress={() => router.navigate(`/repair/${view.id}/prep`)}
        testID="take"
      />
    ) : refused ? (
      <View>
        <PrimaryButton
          label="Referral sheet"
          testID="referral"
          onPress={() => router.navigate(`/referral/${view.id}`)}
        />
        {/* A choice that needs approval gets a secondary button, never the main one. */}
        {code && repair.canWrite ? (
          <LinkButton
            label={`After their decision: ${code} to Prep`}
            testID="take"
            onPress={take}
          />
        ) : null}
      </View>
    ) : trial.length > 0 ? (
      <PrimaryButton
        label="Keep or undo the change that you try first"
        disabled
        onPress={take}
        testID="take"
      />
    ) : (
      <PrimaryButton
        label={
          code
            ? `Use ${code}, go to Prep`
            : 'No material fits: change the survey, or call a specialist'
        }
        disabled={!code || !repair.canWrite}
        onPress={take}
        testID="take"
      />
    );
  return (
    <StationFrame
      id={view.id}
      station="match"
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={`${ranked.length === 1 ? 'One card' : `${ranked.length} cards`} for ${view.title}`}
      header={(width) => (
        <SectionOf view={{ ...view, plan: null }} size={{ width, height: 196 }} now={now} />
      )}
      aside={<RepairAside id={view.id} shown={selected} />}
      action={action}
      sheet={<WorkingSheet namePath={(p) => pathName(view.survey.family, p)} />}
    >
      <RejectedCommands waiting={repair.waiting} />
      {trial.length > 0 ? (
        <TrialBar
          changes={trial}
          onUndo={() => setTrial([])}
          onKeep={repair.canWrite && !begun ? keep : null}
        />
      ) : null}
      <RefusalBlock survey={survey} />
      <View className="gap-2 border-b border-ink px-4 py-3">
        <Txt as="label">Ranked for</Txt>
        <Choices
          id="intent"
          label="Ranked for"
          options={INTENTS.map((value) => ({ value, label: INTENT_NAMES[value] }))}
          value={intent}
          onPick={(v) => setIntent(v as Intent)}
        />
      </View>
      <Compare
        chosen={ranked.filter((s) => compared.includes(s.match.card.code))}
        onDrop={compare}
      />
      {loading ? <Skeleton /> : null}
      {error && ranked.length === 0 ? <Failed say={errorText(error)} /> : null}
      <View role="radiogroup" aria-label="Material systems">
        {shown.map((scored, i) => (
          <MatchCard
            key={scored.match.card.code}
            scored={scored}
            selected={scored.match.card.code === code}
            stop={tabIndexAt(
              i,
              shown.findIndex((s) => s.match.card.code === code),
            )}
            onSelect={() => setPicked(scored.match.card.code)}
            why={
              i === 0 && scored.match.verdict !== 'no' ? whyFirst(scored, ranked[1], intent) : null
            }
            onTry={(relax) => setTrial([...trial, relax])}
            compared={compared.includes(scored.match.card.code)}
            onCompare={
              compared.length < MOST_COMPARED || compared.includes(scored.match.card.code)
                ? () => compare(scored.match.card.code)
                : null
            }
          />
        ))}
      </View>
      {ranked.length > shown.length ? (
        <View className="px-4">
          <LinkButton
            label={`${ranked.length - shown.length} more do not fit`}
            onPress={() => setAll(true)}
            testID="show-all"
          />
        </View>
      ) : null}
      <WhatIfBlock found={whatIf} onTry={(w) => setTrial([...trial, ...w.changes])} />
      {chosen ? (
        <SecondChoices match={chosen.match} chosen={seconds} onChoose={setSeconds} />
      ) : null}
      <CriteriaWeights intent={intent} />
      <SchoolChoices
        family={view.survey.family}
        card={chosen?.match.card}
        chosen={schools}
        onChoose={setSchools}
      />
      <View className="px-4 py-3">
        <Txt as="label">Example figures. Replace with your supplier’s data sheet.</Txt>
        <Txt as="label">Pressure equipment and structures: an engineer must approve.</Txt>
      </View>
    </StationFrame>
  );
}
