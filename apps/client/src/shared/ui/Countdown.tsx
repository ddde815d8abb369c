import { countdown } from '@kelmot/core';
import { View } from 'react-native';
import { Txt } from './Txt';
import { useTick } from './useNow';

/** One figure of a clock. Bare text: each second, only this is drawn again, for every clock on the screen. */
function Figure({ to, part }: { to: number; part: number }) {
  return useTick((now) => countdown(to, now).parts[part]?.figure ?? '');
}

/** A countdown to the next action. It shows seconds in its last hour. After its end it counts up, in red. */
export function Countdown({
  to,
  ruling = false,
  tone = 'ink',
}: {
  to: number;
  ruling?: boolean;
  tone?: 'ink' | 'closing';
}) {
  const over = useTick((now) => now > to);
  const units = useTick((now) =>
    countdown(to, now)
      .parts.map(({ unit }) => unit)
      .join(' '),
  );
  const colour = over ? 'text-oxideInk' : tone === 'closing' ? 'text-ochreInk' : 'text-ink';
  return (
    <View className="flex-row flex-wrap items-baseline" role="timer" testID="countdown">
      {units.split(' ').map((unit, part) => (
        <View key={unit} className="flex-row items-baseline pr-1.5">
          <Txt as={ruling ? 'ruling' : 'clock'} className={colour}>
            <Figure to={to} part={part} />
          </Txt>
          {unit ? (
            <Txt as="inline" className={`pl-0.5 ${colour}`}>
              {unit}
            </Txt>
          ) : null}
        </View>
      ))}
      <View className="absolute h-px w-px overflow-hidden opacity-0">
        <Txt>{over ? 'over' : 'left'}</Txt>
      </View>
    </View>
  );
}
