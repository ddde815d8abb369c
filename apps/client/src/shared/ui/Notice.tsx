import type { ReactNode } from 'react';
import { View } from 'react-native';
import { LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

/** A way on from a notice. */
export interface Way {
  label: string;
  /** Which, where there are several like it. */
  hint?: string;
  go: () => void;
}

/** One line over the screen: what is so, and the ways on. Told by itself where it is not `told` otherwise. */
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
