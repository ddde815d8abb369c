import { handoverOf, roundsPlaced, type Handover, type RepairView } from '@kelmot/contract';
import { dateText, clockText, type Message } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { Refused } from '@/features/repair/Refused';
import { RepairAside } from '@/features/repair/RepairAside';
import { StationFrame } from '@/features/repair/StationFrame';
import type { OpenRepair } from '@/features/repair/useRepair';
import { useSpoken } from '@/features/speech/useSpoken';
import { PrimaryButton, SecondaryButton } from '@/ui/Button';
import { Txt } from '@/ui/Txt';
import { useCopy } from '@/ui/useCopy';
import { useNow } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { useZone } from '@/ui/useZone';

/** Each part as it is headed, and how it is set apart; what has nothing to tell is left out. */
const PARTS: { key: keyof Handover; title: string; tone: string }[] = [
  { key: 'stands', title: 'Where it stands', tone: '' },
  { key: 'wet', title: 'What is wet', tone: '' },
  { key: 'closes', title: 'What closes next', tone: 'text-ochreInk' },
  { key: 'again', title: 'Left too long: do it again', tone: 'text-oxideInk' },
  { key: 'watch', title: 'What to watch', tone: 'text-ochreInk' },
];

/** What whoever comes next is told, made from the record: to be read, heard, or sent on. */
export function HandoverScreen({ view, repair }: { view: RepairView; repair: OpenRepair }) {
  const now = useNow(15_000);
  const zone = useZone();
  const { tell, aloud } = useWords();
  const { copy, said, byHand } = useCopy();
  const told = handoverOf(view, now, zone);
  const parts = PARTS.filter(({ key }) => told[key].length > 0);
  const texts = (word: (message: Message) => string) =>
    parts.map(({ key, title }) => `${title}\n${told[key].map(word).join('\n')}`);
  const head = `${view.tag} ${view.assetName}, ${dateText(now, zone)} ${clockText(now, zone)}`;
  const sayAgain = useSpoken(texts(aloud).join('. '), null);
  return (
    <StationFrame
      id={view.id}
      station={view.station}
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title="Hand over"
      aside={<RepairAside id={view.id} />}
      action={
        <PrimaryButton
          label={view.plan ? 'Go on with the work' : 'Choose a system at Match'}
          testID="handover-go-on"
          onPress={() => router.navigate(`/repair/${view.id}/${view.plan ? 'run' : 'match'}`)}
        />
      }
    >
      <Refused waiting={repair.waiting} />
      <View className="gap-4 bg-sheet px-4 py-4" testID="handover">
        <Txt as="label">{head}</Txt>
        {parts.map(({ key, title, tone }) => (
          <View key={key} className="gap-1.5" testID={`handover-${key}`}>
            <Txt as="rowBold" role="heading">
              {title}
            </Txt>
            {told[key].map((line, i) => (
              <Txt key={i} as="told" className={tone}>
                {tell(line)}
              </Txt>
            ))}
          </View>
        ))}
        <SecondaryButton
          label="Copy it, to send it on"
          testID="handover-copy"
          onPress={() => copy('The handover', [head, ...texts(tell)].join('\n\n'))}
        />
        {sayAgain ? (
          <SecondaryButton label="Say it again" testID="say-again" onPress={sayAgain} />
        ) : null}
        {said ? <Txt role="status">{said}</Txt> : null}
        {byHand ? <Txt selectable>{byHand}</Txt> : null}
      </View>
    </StationFrame>
  );
}
