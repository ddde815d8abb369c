import type { Colours } from '@/shared/ui/tokens.cjs';
import { STATION_NAMES, STATIONS, type StationId, t } from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useLargeText } from './layout';
import { useTheme } from './theme';
import { Txt } from './Txt';

interface ScaleProps {
  width: number;
  current: StationId;
  /** The station that the job has reached; the screen may show an earlier or later one. */
  reached: StationId;
  onPick: (station: StationId) => void;
  /** Shows every station's name and key, as on wide screens. */
  named?: boolean;
  /** For each round, whether it is placed: notches at Mix, Build and Cure if there are several. */
  rounds?: readonly boolean[];
}

/** Stations that are repeated for each round. */
const BY_ROUND: readonly StationId[] = ['mix', 'build', 'cure'];
const NOTCH = 6;

/**
 * The seven stations as a ruler: the finished part green, a tall tick at the present station, a notch for each round.
 */
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
    <View className="bg-paper" role="navigation" aria-label={t('Stations')}>
      <Svg width={width} height={30} aria-hidden style={{ position: 'absolute', top: 0, left: 0 }}>
        <Rect x={0} y={9} width={at(done)} height={4} fill={c.moss} />
        <Line x1={0} y1={14} x2={width} y2={14} stroke={c.ink} strokeWidth={1.25} />
        <ScaleTicks ticks={ticks} pitch={pitch} at={at} done={done} c={c} />
        {rounds.length > 1 ? <Notches rounds={rounds} at={at} c={c} /> : null}
        <Line x1={at(here)} y1={4} x2={at(here)} y2={29} stroke={c.ink} strokeWidth={2.5} />
        <Path d={`M${at(here) - 7} 0h14l-7 9Z`} fill={c.ink} />
      </Svg>
      <View className="flex-row">
        {STATIONS.map((id, i) => {
          const on = id === current;
          // With large text, the names of neighbouring stations would overlap.
          const far = Math.abs(i - here) > (large ? 0 : 1) && !named && peeked !== id;
          return (
            <Pressable
              key={id}
              role="link"
              // Where the name is visible, it is the accessible name.
              aria-label={
                named
                  ? undefined
                  : t('Station {no}, {station}{on, select, yes {, here} other {}}', {
                      no: i + 1,
                      station: STATION_NAMES[id],
                      on: on ? 'yes' : 'no',
                    })
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

function ScaleTicks({
  ticks,
  pitch,
  at,
  done,
  c,
}: {
  ticks: number[];
  pitch: number;
  at: (i: number) => number;
  done: number;
  c: Colours;
}) {
  return (
    <>
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
    </>
  );
}

function Notches({
  rounds,
  at,
  c,
}: {
  rounds: readonly boolean[];
  at: (i: number) => number;
  c: Colours;
}) {
  return BY_ROUND.flatMap((id) =>
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
  );
}
