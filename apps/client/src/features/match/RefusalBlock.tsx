import { demandOfSurvey, PERMISSION_NAMES, type Survey, t } from '@kelmot/core';
import { View } from 'react-native';
import { useSiteQuery } from '@/store/api';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** Why a survey is refused before any card is judged; empty if it is not. */
export function useRefusals(survey: Survey) {
  const { data: site } = useSiteQuery();
  return site ? demandOfSurvey(survey, site.settings).refusals : [];
}

/** A refusal: why, and who must decide. The main action of the screen is the sheet for them. */
export function RefusalBlock({ survey }: { survey: Survey }) {
  const { tell } = useWords();
  const refusals = useRefusals(survey);
  if (refusals.length === 0) return null;
  return (
    <View role="alert" testID="refusal" className="gap-3 border-b border-ink bg-sheet px-4 py-4">
      {refusals.map((r) => (
        <View key={r.id} className="flex-row items-start gap-3">
          <StopMark />
          <View className="min-w-0 flex-1 gap-0.5">
            <Txt as="row" className="text-oxideInk">
              {t('Stop. {because}', { because: tell(r.because) })}
            </Txt>
            {r.who === 'none' ? null : (
              <Txt as="strong">
                {t('{permission} must decide.', { permission: PERMISSION_NAMES[r.who] })}
              </Txt>
            )}
          </View>
        </View>
      ))}
    </View>
  );
}
