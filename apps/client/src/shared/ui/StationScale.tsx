import { STATION_NAMES, STATIONS, type StationId } from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useLargeText } from './layout';
import { useTheme } from './theme';
import { Txt } from './Txt';

interface ScaleProps {
  width: number;
  current: StationId;
  /** How far the job itself has come; the screen may look back or ahead. */
  reached: StationId;
  onPick: (station: StationId) => void;
  /** Every station named, with its key, as on wide screens. */
  named?: boolean;
  /** The rounds of the job, whether each is placed: notches at Mix, Build and Cure where there are several. */
  rounds?: readonly boolean[];
}

/** Stations that are gone through round by round. */
const BY_ROUND: readonly StationId[] = ['mix', 'build', 'cure'];
const NOTCH = 6;

/** The seven stations as a ruler: moss is the way done, the tall tick is here, a notch is a round of material. */
export function StationScale({
  width,
  current,
  reached,
  onPick,
  named = false,
  rounds = [],
}: ScaleProps) {
  const { c } = useTheme();
  const large = useLargeText();
  const [peeked, setPeeked] = useState<StationId | null>(null);
  const n = STATIONS.length;
  const pitch = width / n;
  const at = (i: number) => pitch * (i + 0.5);
  const here = STATIONS.indexOf(current);
  const done = STATIONS.indexOf(reached);
  const ticks = Array.from({ length: n * 10 + 1 }, (_, i) => i);
  return (
    <View className="bg-paper" role="navigation" aria-label="Stations">
      <Svg width={width} height={30} aria-hidden style={{ position: 'absolute', top: 0, left: 0 }}>
        <Rect x={0} y={9} width={at(done)} height={4} fill={c.moss} />
        <Line x1={0} y1={14} x2={width} y2={14} stroke={c.ink} strokeWidth={1.25} />
        {ticks.map((i) => {
          const x = (i * pitch) / 10;
          const long = i % 10 === 5;
          const past = x <= at(done);
          return (
            <Line
              key={i}
              x1={x}
              y1={14}
              x2={x}
              y2={long ? 27 : i % 5 === 0 ? 21 : 18}
              stroke={c.ink}
              strokeOpacity={long || past ? 1 : 0.45}
              strokeWidth={long ? 1.25 : 0.75}
            />
          );
        })}
        {rounds.length > 1
          ? BY_ROUND.flatMap((id) =>
              rounds.map((placed, i) => (
                <Path
                  key={`${id}${i}`}
                  testID={`notch-${id}-${i + 1}`}
                  d={`M${at(STATIONS.indexOf(id)) + (i - (rounds.length - 1) / 2) * (NOTCH + 4) - NOTCH / 2} 14h${NOTCH}v7l-${NOTCH / 2} 4l-${NOTCH / 2} -4Z`}
                  fill={placed ? c.moss : c.sheet}
                  stroke={c.ink}
                  strokeWidth={1}
                />
              )),
            )
          : null}
        <Line x1={at(here)} y1={4} x2={at(here)} y2={29} stroke={c.ink} strokeWidth={2.5} />
        <Path d={`M${at(here) - 7} 0h14l-7 9Z`} fill={c.ink} />
      </Svg>
      <View className="flex-row">
        {STATIONS.map((id, i) => {
          const on = id === current;
          // Names of neighbours lie over one another where the reader’s text is large.
          const far = Math.abs(i - here) > (large ? 0 : 1) && !named && peeked !== id;
          return (
            <Pressable
              key={id}
              role="link"
              // Where its name is in sight, that is what it is called.
              aria-label={
                named ? undefined : `Station ${i + 1}, ${STATION_NAMES[id]}${on ? ', here' : ''}`
              }
              aria-current={on ? 'step' : undefined}
              testID={`station-${id}`}
              onPress={() => onPick(id)}
              onPressIn={() => setPeeked(id)}
              onPressOut={() => setPeeked(null)}
              onFocus={() => setPeeked(id)}
              onBlur={() => setPeeked(null)}
              className={`h-16 justify-end pb-2.5 ${named || (i > 0 && i < n - 1) ? 'items-center' : i === 0 ? 'items-start pl-1' : 'items-end pr-1'}`}
              style={{ width: pitch }}
            >
              <View className="flex-row items-baseline gap-1">
                {named ? <Txt as="label">{i + 1}</Txt> : null}
                <Txt
                  as={on ? 'rowBold' : 'inline'}
                  className={on ? '' : 'font-label text-pencil'}
                  numberOfLines={1}
                >
                  {far ? String(i + 1) : STATION_NAMES[id]}
                </Txt>
              </View>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
