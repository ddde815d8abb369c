import { typedFigure, t } from '@kelmot/core';
import { instrument } from '@kelmot/core/instruments/instrument';
import { pouring } from '@kelmot/core/instruments/pour';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { useWords } from '@/shared/ui/useWords';
import { InstrumentBox, OpenInstrument } from './InstrumentBox';
import { LiveFigure, LiveState } from './Live';
import { useDriver } from './useDriver';
import { useInstrument } from './useInstrument';

/** One part to pour. */
export interface Pour {
  name: string;
  letter: 'A' | 'B';
  targetG: number;
}

const SCALE = instrument('scale');
/** The fill level against its target mark. */
function Filling({ pour, g }: { pour: Pour; g: number }) {
  const share = Math.min(1.1, Math.max(0, g / pour.targetG));
  return (
    <View className="h-5 flex-row border border-ink bg-sheet" aria-hidden>
      <View
        className={pour.letter === 'A' ? 'bg-teal' : 'bg-ochre'}
        style={{ width: `${(share / 1.1) * 100}%` }}
      />
      <View className="absolute bottom-0 top-0 w-0.5 bg-ink" style={{ left: `${100 / 1.1}%` }} />
    </View>
  );
}

/** Weighs both parts on a scale, one after the other with a tare between, and returns both masses. */
export function ScalePour({
  pours,
  take,
}: {
  pours: readonly [Pour, Pour];
  take: (pour: Pour, text: string, scale: string) => void;
}) {
  const { units } = useWords();
  const [turn, setTurn] = useState<0 | 1>(0);
  const [{ targetG: first }, { targetG: second }] = pours;
  const expected = useCallback(
    (part: number) => [part % 2 === 0 ? first : second],
    [first, second],
  );
  const driver = useDriver('scale', expected);
  const pour = pours[turn];
  const nothing = { name: '', open: () => Promise.reject(new Error(t('no scale'))) };
  const { seen, failed, open, close, tare } = useInstrument(SCALE, driver ?? nothing, [
    pour.targetG,
  ]);
  if (!driver) return null;
  const name = `${SCALE.name}, ${driver.name}`;
  if (!seen)
    return (
      <OpenInstrument
        id={SCALE.id}
        label={t('Weigh on the scale')}
        failed={failed}
        open={() => {
          setTurn(0);
          open();
        }}
      />
    );
  const { g, isIn, say } = pouring(seen, pour.targetG);
  const done = () => {
    take(pour, typedFigure(g, 'mass', units), name);
    if (turn === 0) {
      setTurn(1);
      tare();
    } else close();
  };
  return (
    <InstrumentBox
      name={name}
      close={close}
      takeLabel={
        turn === 0
          ? t('{name} weighed: tare the scale', { name: pour.name })
          : t('{name} weighed', { name: pour.name })
      }
      take={isIn ? done : null}
    >
      <View className="flex-row flex-wrap items-end gap-3">
        {SCALE.channels.map((channel) => (
          <LiveFigure key={channel.key} channel={{ ...channel, name: pour.name }} value={g} />
        ))}
      </View>
      <Filling pour={pour} g={g} />
      <LiveState seen={seen} more={say} />
    </InstrumentBox>
  );
}
