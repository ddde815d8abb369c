import { dayClockText } from '@kelmot/core';
import { router } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { SectionView } from '@/ui/SectionView';
import { Skeleton } from '@/ui/states';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { WorkingLines } from '@/ui/Working';
import { pathName } from './pathNames';
import { sectionOf } from './sectionOf';
import { useRepair } from './useRepair';

/** The wide layout's third pane: the section over the working of the figure that is open, or of the time to service. */
export function RepairAside({ id }: { id: string }) {
  const { view } = useRepair(id);
  const now = useNow(15_000);
  const units = useAppSelector((s) => s.settings.units);
  const chosen = useAppSelector((s) => s.view.working);
  if (!view) return <Skeleton rows={3} />;
  const drawing = sectionOf(view, now, units, { width: 379, height: 250 });
  const plan = view.plan?.body;
  const figure = chosen ?? plan?.figures.ready ?? null;
  return (
    <ScrollView className="flex-1" role="complementary" aria-label="Section and working">
      {drawing ? (
        <SectionView
          drawing={drawing}
          extra={[{ key: 'back by', value: dayClockText(Date.parse(view.backBy), now, zoneMin()) }]}
        />
      ) : null}
      <View className="p-4" testID="working">
        {figure ? (
          <WorkingLines
            figure={figure}
            namePath={(p) => pathName(view.survey.family, p)}
            onPath={plan ? () => router.navigate(`/repair/${id}/survey`) : undefined}
          />
        ) : (
          <Txt className="text-pencil">
            Choose a system at Match: every figure then shows its working here.
          </Txt>
        )}
      </View>
    </ScrollView>
  );
}
