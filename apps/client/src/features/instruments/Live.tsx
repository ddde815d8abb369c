import { figureAndUnit, type Message } from '@kelmot/core';
import type { Channel } from '@kelmot/core/instruments/instrument';
import type { InstrumentState } from '@kelmot/core/instruments/instrumentState';
import { View } from 'react-native';
import { StopMark, WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** What one channel shows now, large. */
export function LiveFigure({ channel, value }: { channel: Channel; value: number | undefined }) {
  const { units } = useWords();
  const shown =
    value === undefined ? null : figureAndUnit(value, channel.quantity, { system: units });
  return (
    <View className="min-w-[5.25rem] flex-1">
      <Txt as="label">{channel.name}</Txt>
      <View className="flex-row items-baseline gap-1">
        <Txt as="clock">{shown?.figure ?? '–'}</Txt>
        <Txt as="label">{shown?.unit ?? ''}</Txt>
      </View>
    </View>
  );
}

/** The state of an instrument in a sentence. A fault has its mark and colour and is announced at once. */
export function LiveState({ seen, more }: { seen: InstrumentState; more?: Message | null }) {
  const { tell } = useWords();
  const bad = seen.state === 'fault';
  return (
    <View
      className="flex-row items-start gap-2"
      role={bad ? 'alert' : 'status'}
      testID="instrument-state"
    >
      {bad ? <StopMark size={22} /> : seen.state === 'steady' ? null : <WaitMark size={22} />}
      <View className="min-w-0 flex-1">
        <Txt as="inline" className={bad ? 'text-oxideInk' : ''}>
          {tell(seen.say)}
        </Txt>
        {more && !bad ? <Txt as="label">{tell(more)}</Txt> : null}
      </View>
    </View>
  );
}
