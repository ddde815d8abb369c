import {
  INTENT_NAMES,
  INTENTS,
  previewFigures,
  withChanges,
  type Intent,
  type Relax,
  type Schools,
  MINUTE,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { pathName } from '@/shared/repair/pathNames';
import { RepairAside } from '@/shared/repair/RepairAside';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { SectionOf } from '@/shared/repair/SectionOf';
import { StationFrame } from '@/features/frame';
import { type OpenRepair } from '@/shared/repair/useRepair';
import { useAppSelector } from '@/store/hooks';
import { Choices } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { roundsPlaced, type RepairView } from '@kelmot/contract';
import { WorkingSheet } from '@/shared/ui/Working';
import { RefusalBlock, useRefusals } from './RefusalBlock';
import { SchoolChoices } from './SchoolChoices';
import { SecondChoices } from './SecondChoices';
import { useMatches } from './useMatches';
import { CriteriaWeights } from './CriteriaWeights';
import { TrialBar, WhatIfBlock } from './WhatIfBlock';
import { Ranking } from './Ranking';
import { TakeAction, useTake } from './TakeAction';

/** Match: every card with its verdict, ranked for lasting or stop-gap, and the choice that leads to Prep. */
export function MatchScreen({ view, repair }: { view: RepairView; repair: OpenRepair }) {
  const units = useAppSelector((s) => s.settings.units);
  const now = useNow(MINUTE);
  const [intent, setIntent] = useState<Intent>(view.intent);
  const [picked, setPicked] = useState<string | null>(view.plan?.body.card.code ?? null);
  const [schools, setSchools] = useState<Schools>(view.plan?.body.schools ?? {});
  const [seconds, setSeconds] = useState<Readonly<Record<string, string>>>(
    view.plan?.body.seconds ?? {},
  );
  const [trial, setTrial] = useState<readonly Relax[]>([]);
  const weights = useAppSelector((s) => s.settings.weights[intent]);
  const survey = (trial.length > 0 && withChanges(view.survey, trial)) || view.survey;
  const found = useMatches(survey, { intent, weights, schools, seconds });
  const { ranked, whatIf } = found;
  const usable = ranked.filter((s) => s.match.verdict !== 'no');
  const chosen = usable.find((s) => s.match.card.code === picked) ?? usable[0];
  const code = chosen?.match.card.code;
  const begun = view.mixes.length > 0;
  const taking = useTake({
    ...{ view, repair, survey, intent, schools, seconds, now },
    card: chosen?.match.card,
  });
  // The side pane shows the working of the time to service of the selected card.
  const selected = chosen ? (previewFigures(chosen.match, units).ready ?? null) : null;
  const refused = useRefusals(survey).length > 0;
  const tryOut = (...changes: Relax[]) => setTrial([...trial, ...changes]);
  const keep = () => {
    repair.send({ type: 'survey.save', survey });
    setTrial([]);
  };
  return (
    <StationFrame
      id={view.id}
      station="match"
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={cardsFor(ranked.length, view.title)}
      header={(width) => (
        <SectionOf view={{ ...view, plan: null }} size={{ width, height: 196 }} now={now} />
      )}
      aside={<RepairAside id={view.id} shown={selected} />}
      action={
        <TakeAction
          id={view.id}
          code={code}
          canWrite={repair.canWrite}
          state={begun ? 'begun' : refused ? 'refused' : trial.length > 0 ? 'trial' : 'open'}
          taking={taking}
        />
      }
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
      <RankedFor intent={intent} setIntent={setIntent} />
      <Ranking found={found} intent={intent} code={code} onPick={setPicked} onTry={tryOut} />
      <WhatIfBlock found={whatIf} onTry={(w) => tryOut(...w.changes)} />
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
      <ExampleNote />
    </StationFrame>
  );
}

const cardsFor = (cards: number, title: string): string =>
  t('{cards, plural, one {One card} other {# cards}} for: {title}', { cards, title });

function ExampleNote() {
  return (
    <View className="px-4 py-3">
      <Txt as="label">{t('Example figures. Replace with your supplier’s data sheet.')}</Txt>
      <Txt as="label">{t('Pressure equipment and structures: an engineer must approve.')}</Txt>
    </View>
  );
}

function RankedFor({ intent, setIntent }: { intent: Intent; setIntent: (value: Intent) => void }) {
  return (
    <View className="gap-2 border-b border-ink px-4 py-3">
      <Txt as="label">{t('Ranked for')}</Txt>
      <Choices
        id="intent"
        label={t('Ranked for')}
        options={INTENTS.map((value) => ({ value, label: INTENT_NAMES[value] }))}
        value={intent}
        onPick={(v) => setIntent(v as Intent)}
      />
    </View>
  );
}
