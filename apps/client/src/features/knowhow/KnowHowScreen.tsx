import { t } from '@kelmot/core';
import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { ToolList } from '@/features/tools';
import { Txt } from '@/shared/ui/Txt';

const DIFFER: { question: string; schools: string; ours: string }[] = [
  {
    question: t('Surface preparation'),
    schools: t('Hand tools are enough, or always blast or use power tools.'),
    ours: t(
      'The card’s lowest grade for its rated service. Hand tools only for stop-gaps, marked as such.',
    ),
  },
  {
    question: t('Ratio'),
    schools: t('Measure by volume with cups, or by mass on a scale.'),
    ours: t('By mass where densities are known. The volume is shown too.'),
  },
  {
    question: t('Wait before the next coat'),
    schools: t('Wait overnight to be safe, or only the shortest time.'),
    ours: t('Inside the overcoat window, from its start to its end.'),
  },
  {
    question: t('Overfilling'),
    schools: t('Overfill and grind, or strike it flush while soft.'),
    ours: t('Overfill and grind.'),
  },
  {
    question: t('Stop-gap or lasting'),
    schools: t('Repair quickly now and again later, or once and properly.'),
    ours: t('Both are ranked, with expected life and cost of the stop.'),
  },
];

/** Know-how: the quick tools, where practitioners differ, and what only others may decide. */
export function KnowHowScreen() {
  return (
    <Frame tab="know-how">
      <ScrollView className="flex-1">
        <View className="border-b border-ink px-4 py-3">
          <Txt as="screen" role="heading">
            {t('Know-how')}
          </Txt>
        </View>
        <ToolList />
        <View className="gap-3 border-b border-ink px-4 py-4">
          <Txt as="rowBold" role="heading">
            {t('Where practitioners differ')}
          </Txt>
          {DIFFER.map((d) => (
            <View key={d.question} className="gap-0.5">
              <Txt as="strong">{d.question}</Txt>
              <Txt className="text-pencil">{d.schools}</Txt>
              <Txt>{t('Here: {ours}', { ours: d.ours })}</Txt>
            </View>
          ))}
        </View>
        <View className="gap-2 px-4 py-4">
          <Txt as="rowBold" role="heading">
            {t('Who decides')}
          </Txt>
          <Txt>
            {t(
              'Pressure equipment, structures and life safety: an engineer must approve. Your site’s rules and the law come first.',
            )}
          </Txt>
        </View>
      </ScrollView>
    </Frame>
  );
}
