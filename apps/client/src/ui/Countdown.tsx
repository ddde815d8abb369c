import { countdown } from '@kelmot/core';
import { View } from 'react-native';
import { Txt } from './Txt';

/** The clock to the next thing to do. Ticks in seconds under an hour; over, it counts on in oxide. */
export function Countdown({
  to,
  now,
  ruling = false,
  tone = 'ink',
}: {
  to: number;
  now: number;
  ruling?: boolean;
  tone?: 'ink' | 'closing';
}) {
  const { parts, over } = countdown(to, now);
  const colour = over ? 'text-oxideInk' : tone === 'closing' ? 'text-ochreInk' : 'text-ink';
  const words = parts.map((p) => `${p.figure} ${p.unit}`).join(' ');
  return (
    <View
      className="flex-row flex-wrap items-baseline"
      role="timer"
      aria-label={`${words} ${over ? 'over' : 'left'}`}
      testID="countdown"
    >
      {parts.map((p) => (
        <View key={p.unit} className="flex-row items-baseline pr-1.5">
          <Txt as={ruling ? 'ruling' : 'clock'} className={colour}>
            {p.figure}
          </Txt>
          {p.unit ? (
            <Txt as="inline" className={`pl-0.5 ${colour}`}>
              {p.unit}
            </Txt>
          ) : null}
        </View>
      ))}
    </View>
  );
}
