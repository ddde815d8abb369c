import {
  familyOf,
  formatDuration,
  INTENT_NAMES,
  MINUTE,
  planBatches,
  type Plan,
  t,
} from '@kelmot/core';
import { router, useLocalSearchParams } from 'expo-router';
import { TO_ALL } from '@/shared/repairs/openRepair';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { pathName } from '@/shared/repair/pathNames';
import { sectionOf } from '@/shared/repair/sectionOf';
import { useRepair } from '@/shared/repair/useRepair';
import { Supplies } from '@/features/stations';
import { loadErrorText } from '@/store/api';
import { BackArrow, SecondaryButton, Tag } from '@/shared/ui/Button';
import { FigureText } from '@/shared/ui/FigureText';
import { SectionView } from '@/shared/ui/SectionView';
import { Failed, Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';
import { useNow } from '@/shared/ui/useNow';
import { WorkingSheet } from '@/shared/ui/Working';
import type { RepairView } from '@kelmot/contract';
import { usePapers } from './usePapers';
import { FieldError } from '@/shared/ui/fields';

const KEY = ['ready', 'readiness', 'cost.total', 'cost.material', 'cost.labour', 'downtime'];

/** The cost of the job, compared with doing nothing and with the next card. */
function Costs({ plan }: { plan: Plan }) {
  const { figures, next } = plan;
  return (
    <View className="gap-2 border-b border-ink px-4 py-3">
      <View className="flex-row flex-wrap gap-x-8 gap-y-3">
        {KEY.map((id) =>
          figures[id] ? (
            <FigureText key={id} figure={figures[id]} label={figures[id].label} as="reading" />
          ) : null,
        )}
      </View>
      {figures['nothing.cost'] ? (
        <View className="flex-row flex-wrap gap-x-8" testID="doing-nothing">
          <FigureText
            figure={figures['nothing.until']}
            label={figures['nothing.until']?.label ?? ''}
            as="row"
          />
          <FigureText figure={figures['nothing.cost']} label={t('and that stop costs')} as="row" />
        </View>
      ) : null}
      {next ? (
        <View className="gap-1" testID="next-option">
          <Txt className="text-pencil">
            {t('Next best: {code} {name}', { code: next.code, name: next.name })}
          </Txt>
          <View className="flex-row flex-wrap gap-x-8 gap-y-2">
            <FigureText figure={figures['next.ready']} label={t('ready in')} as="row" />
            <FigureText
              figure={figures['next.total']}
              label={t('material and downtime')}
              as="row"
            />
            <FigureText figure={figures['next.life']} label={t('expected life')} as="row" />
            <FigureText figure={figures.expected} label={t('this card')} as="row" />
          </View>
        </View>
      ) : null}
    </View>
  );
}

function Buttons({ view, plan }: { view: RepairView; plan: Plan }) {
  const papers = usePapers(view, plan);
  const list = [
    { id: 'a4', label: t('Job card, A4'), press: () => papers.jobCard('a4') },
    { id: 'letter', label: t('Job card, letter'), press: () => papers.jobCard('letter') },
    { id: 'csv', label: t('Picking list, CSV'), press: papers.pickingList },
    { id: 'ics', label: t('Timeline, iCalendar'), press: papers.calendar },
    { id: 'json', label: t('The plan, JSON'), press: papers.whole },
    { id: 'record', label: t('The record, PDF'), press: papers.record },
    { id: 'record-csv', label: t('The record, CSV'), press: papers.recordList },
    { id: 'record-json', label: t('The record, JSON'), press: papers.recordWhole },
  ];
  return (
    <View className="gap-2 border-b border-ink px-4 py-3">
      <View className="flex-row flex-wrap gap-2">
        {list.map(({ id, label, press }) => (
          <SecondaryButton
            key={id}
            label={papers.making === id ? t('Making the paper') : label}
            testID={`paper-${id}`}
            disabled={papers.making !== null}
            onPress={() => void press()}
          />
        ))}
      </View>
      <FieldError error={papers.error} />
    </View>
  );
}

function Lines({ title, lines }: { title: string; lines: string[] }) {
  if (lines.length === 0) return null;
  return (
    <View className="gap-1 border-b border-rule px-4 py-3">
      <Txt as="row" role="heading">
        {title}
      </Txt>
      {lines.map((line) => (
        <Txt key={line}>{line}</Txt>
      ))}
    </View>
  );
}

/** The whole job on one page: cost, supplies, approvals, and its papers to print and send. */
export function PapersScreen() {
  const { id = '' } = useLocalSearchParams<{ id: string }>();
  const { view, error, loading } = useRepair(id);
  const { units, tell } = useWords();
  const now = useNow(MINUTE);
  const [width, setWidth] = useState(0);
  if (!view)
    return loading || !error ? <Skeleton /> : <Failed say={loadErrorText(error)} leave={TO_ALL} />;
  const plan = view.plan?.body;
  const drawing = width > 0 ? sectionOf(view, { now, units, size: { width, height: 220 } }) : null;
  return (
    <View className="flex-1 bg-paper" role="main">
      <ScrollView
        className="flex-1"
        testID="papers"
        onLayout={(e) => setWidth(Math.min(e.nativeEvent.layout.width, 760))}
      >
        <View className="w-full max-w-[760px] self-center pb-10">
          <View className="flex-row items-center gap-2 bg-sheet pr-4">
            <BackArrow
              label={t('Back to the repair')}
              onPress={() => router.navigate(`/repair/${id}/${view.station}`)}
            />
            <Tag text={view.tag} />
            <Txt as="row" role="heading" className="min-w-0 flex-1" numberOfLines={2}>
              {t('The whole job')}
            </Txt>
          </View>
          {drawing ? <SectionView drawing={drawing} /> : null}
          {plan ? (
            <>
              <View className="border-b border-rule px-4 py-3">
                <Txt as="row">
                  {plan.card.code} {plan.card.name}
                </Txt>
                <Txt className="text-pencil">
                  {t(
                    '{title}. {intent}. {steps} steps, {rounds, plural, one {# round} other {# rounds}}, {batches, plural, one {# batch} other {# batches}}.',
                    {
                      title: familyOf(view.survey.family).title,
                      intent: INTENT_NAMES[plan.survey.intent],
                      steps: plan.steps.length,
                      rounds: plan.rounds.length,
                      batches: planBatches(plan).length,
                    },
                  )}
                </Txt>
              </View>
              <Buttons view={view} plan={plan} />
              <Costs plan={plan} />
              <Supplies plan={plan} />
              <Lines
                title={t('Smallest margins')}
                lines={plan.tightest.map((margin) =>
                  t('{about}: {slack} of margin.', {
                    about: tell(margin.about),
                    slack: formatDuration(margin.slackMin),
                  }),
                )}
              />
              <Lines title={t('Warnings')} lines={plan.warnings.map(tell)} />
              <Lines title={t('What would raise the chance')} lines={plan.raise.map(tell)} />
              <Lines title={t('Who must approve')} lines={plan.approvers.map((w) => `${w}.`)} />
              <Lines title={t('Wear')} lines={plan.gear} />
              <Lines title={t('Cautions')} lines={plan.cautions.map((c) => c.text)} />
              <Lines title={t('How to remove it')} lines={plan.removal.map(tell)} />
            </>
          ) : (
            <Txt className="p-4">{t('No plan yet: choose a system at Match.')}</Txt>
          )}
        </View>
      </ScrollView>
      <WorkingSheet namePath={(p) => pathName(view.survey.family, p)} />
    </View>
  );
}
