import type { Me, Site } from '@kelmot/contract';
import {
  demandOfSurvey,
  familyOf,
  MINUTE,
  PERMISSION_NAMES,
  surveyLines,
  type Survey,
  t,
} from '@kelmot/core';
import { router, useLocalSearchParams } from 'expo-router';
import { TO_ALL } from '@/shared/repairs/openRepair';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { sectionOf } from '@/shared/repair/sectionOf';
import { useRepair } from '@/shared/repair/useRepair';
import { loadErrorText, useSiteQuery } from '@/store/api';
import { usePerson } from '@/store/usePerson';
import { BackArrow, SecondaryButton } from '@/shared/ui/Button';
import { SectionView } from '@/shared/ui/SectionView';
import { Failed, Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';
import { useNow } from '@/shared/ui/useNow';

/** The sheet for those who must decide: why the job was stopped, the section, and every measurement. */
export function ReferralScreen() {
  const { id = '' } = useLocalSearchParams<{ id: string }>();
  const { view, error, loading } = useRepair(id);
  const { data: site } = useSiteQuery();
  const me = usePerson();
  const { units } = useWords();
  const now = useNow(MINUTE);
  const [width, setWidth] = useState(0);
  if (!view || !site)
    return loading || !error ? <Skeleton /> : <Failed say={loadErrorText(error)} leave={TO_ALL} />;
  const { survey } = view;
  const { refusals } = demandOfSurvey(survey, site.settings);
  const lines = surveyLines(survey, units);
  const groups = [...new Set(lines.map((l) => l.group))];
  const date = new Date(now).toISOString().slice(0, 10);
  return (
    <ScrollView
      role="main"
      className="flex-1 bg-sheet"
      testID="referral-sheet"
      onLayout={(e) => setWidth(Math.min(e.nativeEvent.layout.width, 720))}
    >
      <View className="w-full max-w-[720px] self-center pb-10">
        <View className="flex-row items-center gap-2 border-b border-ink pr-4 print:hidden">
          <BackArrow
            label={t('Back to Match')}
            onPress={() => router.navigate(`/repair/${id}/match`)}
          />
          <View className="flex-1" />
          <SecondaryButton label={t('Print')} testID="print" onPress={() => globalThis.print?.()} />
        </View>
        <ReferralHead survey={survey} site={site} date={date} me={me} />
        <WhoDecides refusals={refusals} />
        {survey.damages.map((_, i) => {
          const drawing =
            width > 0
              ? sectionOf(
                  { ...view, plan: null },
                  { now, units, size: { width, height: 210 }, index: i },
                )
              : null;
          return drawing ? <SectionView key={i} drawing={drawing} /> : null;
        })}
        {groups.map((g) => (
          <View key={g} className="gap-1 px-4 pt-4">
            <Txt as="rowBold" role="heading">
              {g}
            </Txt>
            {lines
              .filter((l) => l.group === g)
              .map((l) => (
                <View
                  key={l.label}
                  className="flex-row justify-between gap-4 border-b border-rule py-1"
                >
                  <Txt as="label">{l.label}</Txt>
                  <Txt as="inline">{l.text}</Txt>
                </View>
              ))}
          </View>
        ))}
        <View className="gap-1 px-4 pt-6">
          <Txt>
            {t(
              'Measured on site; not a design. The law, the site’s rules and the licensed trade come first.',
            )}
          </Txt>
        </View>
      </View>
    </ScrollView>
  );
}

/** Why the damage is referred, and who must decide. */
function WhoDecides({ refusals }: Pick<ReturnType<typeof demandOfSurvey>, 'refusals'>) {
  const { tell } = useWords();
  return (
    <View className="gap-2 border-y border-ink px-4 py-3">
      {refusals.length === 0 ? (
        <Txt>{t('This damage does not need another specialist.')}</Txt>
      ) : null}
      {refusals.map((r) => (
        <View key={r.id}>
          <Txt as="strong">{tell(r.because)}</Txt>
          <Txt>
            {r.who === 'none'
              ? t('The site decides what to do instead.')
              : t('{permission} must decide.', { permission: PERMISSION_NAMES[r.who] })}
          </Txt>
        </View>
      ))}
    </View>
  );
}

function ReferralHead({
  survey,
  site,
  date,
  me,
}: {
  survey: Survey;
  site: Site;
  date: string;
  me: Me | undefined;
}) {
  return (
    <View className="gap-1 px-4 py-4">
      <Txt as="screen" role="heading">
        {t('Referral: {tag} {name}', { tag: survey.asset.tag, name: survey.asset.name })}
      </Txt>
      <Txt as="label">
        {site.settings.name}, {survey.asset.position}. {familyOf(survey.family).title}. {date},{' '}
        {me?.name}.
      </Txt>
    </View>
  );
}
