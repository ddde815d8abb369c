import { type Figure, t } from '@kelmot/core';
import { router } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { WorkingLines } from '@/shared/ui/Working';
import { pathName } from './pathNames';
import { SectionOf } from './SectionOf';
import { useRepair } from './useRepair';

/** The size of the section in the third pane, px. */
const SIZE = { width: 379, height: 250 };

/**
 * The third pane of the wide layout: the section above the working of a figure: the open one, the one that the screen
 * selects, or the time to service.
 */
export function RepairAside({ id, shown = null }: { id: string; shown?: Figure | null }) {
  const { view } = useRepair(id);
  const now = useNow(15_000);
  const chosen = useAppSelector((s) => s.view.working);
  if (!view) return <Skeleton rows={3} />;
  const plan = view.plan?.body;
  const figure = chosen ?? shown ?? plan?.figures.ready ?? null;
  return (
    <ScrollView className="flex-1">
      <SectionOf view={view} size={SIZE} now={now} />
      <View className="p-4" testID="working">
        {figure ? (
          <WorkingLines
            figure={figure}
            namePath={(p) => pathName(view.survey.family, p)}
            onPath={plan ? () => router.navigate(`/repair/${id}/survey`) : undefined}
          />
        ) : (
          <Txt className="text-pencil">
            {t('No material fits now. Each card shows why, and what would change it.')}
          </Txt>
        )}
      </View>
    </ScrollView>
  );
}
