import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { ToolList } from '@/features/tools';
import { Txt } from '@/shared/ui/Txt';

const DIFFER: { question: string; schools: string; ours: string }[] = [
  {
    question: 'How clean',
    schools: 'Hand tool and go, or blast or power tool always.',
    ours: 'The card’s least grade for its rated service. Hand tools only for stop-gaps, and shown as such.',
  },
  {
    question: 'Ratio',
    schools: 'By volume with cups, or by mass on a scale.',
    ours: 'By mass where densities are known; the volume stands beside it.',
  },
  {
    question: 'Wait before the next coat',
    schools: 'Overnight to be safe, or the shortest wait.',
    ours: 'The window: both its start and its end.',
  },
  {
    question: 'Proud repairs',
    schools: 'Overfill and grind, or strike flush while soft.',
    ours: 'Overfill and grind.',
  },
  {
    question: 'Stop-gap or lasting',
    schools: 'Quick now and again later, or once and right.',
    ours: 'Both ranked, with expected life and the cost of the stop.',
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
