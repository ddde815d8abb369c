import type { Message } from '@kelmot/core';
import { fromBase, shownUnit } from '@kelmot/core';
import type { Driver } from '@kelmot/core/instruments/instrument';
import { View } from 'react-native';
import { LinkButton, SecondaryButton } from '@/ui/Button';
import { Txt } from '@/ui/Txt';
import { useWords } from '@/ui/useWords';
import type { Asked, Texts } from './instrumentFor';
import { LiveFigure, LiveState } from './Live';
import { useInstrument } from './useInstrument';

interface ReadFromProps {
  asked: Asked;
  driver: Driver;
  /** What would be recorded, as soon as there is something: the verdict as it comes. */
  verdict: (texts: Texts) => Message | null;
  take: (texts: Texts, instrument: string) => void;
}

/** Reads what a hold asks for from an instrument, watches it, and puts what was taken into the boxes. */
export function ReadFrom({ asked, driver, verdict, take }: ReadFromProps) {
  const { units } = useWords();
  const { device, least, expects, textsOf } = asked;
  const { seen, failed, open, close } = useInstrument(device, driver, expects);
  const name = `${device.name}, ${driver.name}`;
  // As it is typed: four digits are finer than any of these measures.
  const write = (value: number, channel: number) =>
    String(
      Number(
        fromBase(
          value,
          shownUnit(device.channels[channel]?.quantity ?? 'length', units),
        ).toPrecision(4),
      ),
    );
  if (!seen)
    return (
      <View className="gap-1">
        <SecondaryButton
          label={`Read from the ${device.name.toLowerCase()}`}
          testID={`read-${device.id}`}
          onPress={open}
        />
        {failed ? (
          <Txt as="label" className="text-oxideInk" role="alert">
            It could not be reached. Switch it on and bring it near, or type the reading.
          </Txt>
        ) : null}
      </View>
    );
  const spot = device.mode === 'spot';
  const enough = spot ? seen.values.length >= least : seen.state === 'steady';
  const texts = seen.values.length > 0 ? textsOf(seen.values, write) : null;
  return (
    <View
      className="gap-3 rounded border-[1.5px] border-ink bg-paper p-3"
      role="group"
      aria-label={name}
      testID="instrument"
    >
      <View className="flex-row items-center justify-between gap-3">
        <Txt as="label" className="min-w-0 flex-1">
          {name}
        </Txt>
        <LinkButton
          label="Close"
          hint={`Close the ${name}`}
          testID="instrument-close"
          onPress={close}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        {device.channels.map((channel, i) => (
          <LiveFigure
            key={channel.key}
            channel={channel}
            value={spot ? seen.values.at(-1) : seen.values[i]}
          />
        ))}
      </View>
      <LiveState seen={seen} more={texts && verdict(texts)} />
      <SecondaryButton
        label={spot ? `Take these ${seen.values.length}` : 'Take this reading'}
        testID="instrument-take"
        disabled={!texts || !enough || seen.state !== 'steady'}
        onPress={() => {
          if (texts) take(texts, name);
          close();
        }}
      />
    </View>
  );
}
