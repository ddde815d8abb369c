import type { ReactNode } from 'react';
import { View } from 'react-native';
import { LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

/** An action of a notice. */
export interface Way {
  label: string;
  /** Says which one, where there are several alike. */
  hint?: string;
  go: () => void;
}

/**
 * One line over the screen: what happened, and the possible actions. Announced to screen readers unless it is `told`
 * elsewhere.
 */
export function Notice({
  id,
  mark,
  children,
  ways = [],
  told = false,
}: {
  id: string;
  mark: ReactNode;
  children: ReactNode;
  ways?: readonly Way[];
  told?: boolean;
}) {
  return (
    <View
      role={told ? undefined : 'status'}
      testID={id}
      className="flex-row items-center gap-2.5 border-b border-ink bg-shade px-4"
    >
      {mark}
      <Txt className="min-w-0 flex-1 py-2">{children}</Txt>
      <View className="max-w-[55%] flex-row flex-wrap justify-end gap-x-2.5">
        {ways.map(({ label, hint, go }, i) => (
          <LinkButton
            key={label}
            label={label}
            hint={hint}
            testID={i === 0 ? `${id}-go` : `${id}-${i}`}
            onPress={go}
          />
        ))}
      </View>
    </View>
  );
}
