import { demandOfSurvey, PERMISSION_NAMES, type Survey } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useSiteQuery } from '@/store/api';
import { SecondaryButton } from '@/ui/Button';
import { StopMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { useWords } from '@/ui/useWords';

/** A refusal is an answer too: why, who must decide, and the sheet that goes to them. */
export function RefusalBlock({ survey, repairId }: { survey: Survey; repairId: string }) {
  const { data: site } = useSiteQuery();
  const { tell } = useWords();
  if (!site) return null;
  const { refusals } = demandOfSurvey(survey, site.settings);
  if (refusals.length === 0) return null;
  return (
    <View role="alert" testID="refusal" className="gap-3 border-b border-ink bg-sheet px-4 py-4">
      {refusals.map((r) => (
        <View key={r.id} className="flex-row items-start gap-3">
          <StopMark />
          <View className="min-w-0 flex-1 gap-0.5">
            <Txt as="row" className="text-oxideInk">
              Stop. {tell(r.because)}
            </Txt>
            {r.who === 'none' ? null : (
              <Txt as="strong">{PERMISSION_NAMES[r.who]} must decide.</Txt>
            )}
          </View>
        </View>
      ))}
      <SecondaryButton
        label="Referral sheet"
        testID="referral"
        onPress={() => router.navigate(`/referral/${repairId}`)}
      />
    </View>
  );
}
