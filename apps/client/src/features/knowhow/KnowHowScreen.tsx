import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { ToolList } from '@/features/tools';
import { Txt } from '@/shared/ui/Txt';

const DIFFER: { question: string; schools: string; ours: string }[] = [
  {
    question: 'Surface preparation',
    schools: 'Hand tools are enough, or always blast or use power tools.',
    ours: 'The card’s lowest grade for its rated service. Hand tools only for stop-gaps, marked as such.',
  },
  {
    question: 'Ratio',
    schools: 'Measure by volume with cups, or by mass on a scale.',
    ours: 'By mass where densities are known. The volume is shown too.',
  },
  {
    question: 'Wait before the next coat',
    schools: 'Wait overnight to be safe, or only the shortest time.',
    ours: 'Inside the overcoat window, from its start to its end.',
  },
  {
    question: 'Overfilling',
    schools: 'Overfill and grind, or strike it flush while soft.',
    ours: 'Overfill and grind.',
  },
  {
    question: 'Stop-gap or lasting',
    schools: 'Repair quickly now and again later, or once and properly.',
    ours: 'Both are ranked, with expected life and cost of the stop.',
  },
];

/** Know-how: the quick tools, where practitioners differ, and what only others may decide. */
export function KnowHowScreen() {
  return (
    <Frame tab="know-how">
      <ScrollView className="flex-1">
        <View className="border-b border-ink px-4 py-3">
          <Txt as="screen" role="heading">
            Know-how
          </Txt>
        </View>
        <ToolList />
        <View className="gap-3 border-b border-ink px-4 py-4">
          <Txt as="rowBold" role="heading">
            Where practitioners differ
          </Txt>
          {DIFFER.map((d) => (
            <View key={d.question} className="gap-0.5">
              <Txt as="strong">{d.question}</Txt>
              <Txt className="text-pencil">{d.schools}</Txt>
              <Txt>Here: {d.ours}</Txt>
            </View>
          ))}
        </View>
        <View className="gap-2 px-4 py-4">
          <Txt as="rowBold" role="heading">
            Who decides
          </Txt>
          <Txt>
            Pressure equipment, structures and life safety: an engineer must approve. Your site’s
            rules and the law come first.
          </Txt>
        </View>
      </ScrollView>
    </Frame>
  );
}
