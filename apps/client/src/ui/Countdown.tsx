import { countdown, countdownText } from '@kelmot/core';
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
  const left = countdown(to, now);
  const { parts, over } = left;
  const colour = over ? 'text-oxideInk' : tone === 'closing' ? 'text-ochreInk' : 'text-ink';
  return (
    <View
      className="flex-row flex-wrap items-baseline"
      role="timer"
      aria-label={countdownText(left)}
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
