import { typedFigure, type Message, t } from '@kelmot/core';
import type { Driver } from '@kelmot/core/instruments/instrument';
import type { HoldInstrument } from '@kelmot/core/run/instrumentFor';
import { View } from 'react-native';
import { useWords } from '@/shared/ui/useWords';
import { InstrumentBox, OpenInstrument } from './InstrumentBox';
import { LiveFigure, LiveState } from './Live';
import { useInstrument } from './useInstrument';

/** The texts of the boxes, by key. */
type Texts = Record<string, string>;

interface ReadFromProps {
  by: HoldInstrument;
  driver: Driver;
  /** The verdict on the present values, while they change. */
  verdict: (texts: Texts) => Message | null;
  take: (texts: Texts, instrument: string) => void;
}

/** Reads a hold's values from an instrument, watches it for faults, and puts the taken values into the boxes. */
export function ReadInstrument({ by, driver, verdict, take }: ReadFromProps) {
  const { units } = useWords();
  const { device, least, expects, recorded } = by;
  const { seen, failed, open, close } = useInstrument(device, driver, expects);
  const spot = device.mode === 'spot';
  const name = `${device.name}, ${driver.name}`;
  const write = (value: number, channel: number) =>
    typedFigure(value, device.channels[channel]?.quantity ?? 'length', units);
  const textsOf = (values: readonly number[]): Texts => {
    const written = recorded(values).map((v, i) => write(v, spot ? 0 : i));
    return spot
      ? { [device.channels[0]?.key ?? '']: written.join(' ') }
      : Object.fromEntries(device.channels.map(({ key }, i) => [key, written[i] ?? '']));
  };
  if (!seen)
    return (
      <OpenInstrument
        id={device.id}
        label={t('Read from: {name}', { name: device.name })}
        failed={failed}
        open={open}
      />
    );
  const enough = !spot || seen.values.length >= least;
  const texts = seen.values.length > 0 ? textsOf(seen.values) : null;
  const mayTake = texts !== null && enough && seen.state === 'steady';
  const done = () => {
    if (texts) take(texts, name);
    close();
  };
  return (
    <InstrumentBox
      name={name}
      close={close}
      takeLabel={
        spot ? t('Use these {values}', { values: seen.values.length }) : t('Use this reading')
      }
      take={mayTake ? done : null}
    >
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
    </InstrumentBox>
  );
}
