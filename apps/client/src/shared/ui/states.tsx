import { t } from '@kelmot/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { SecondaryButton } from './Button';
import { StopMark } from './marks';
import { Txt } from './Txt';

/** Placeholder lines while the first answer loads. */
export function Skeleton({ rows = 4 }: { rows?: number }) {
  return (
    <View role="status" aria-label={t('Loading')} className="gap-5 p-4">
      {Array.from({ length: rows }, (_, i) => (
        <View key={i} className="gap-2">
          <View className="h-5 w-2/3 bg-shade" />
          <View className="h-3 w-full border border-rule" />
        </View>
      ))}
    </View>
  );
}

/** Nothing here yet, and what to do about it. */
export function Empty({
  title,
  children,
  action,
  alone = false,
}: {
  title: string;
  children?: ReactNode;
  action?: { label: string; onPress: () => void };
  /** It is the screen's only content: its title is the heading. */
  alone?: boolean;
}) {
  return (
    <View className="gap-3 p-4">
      <Txt as="row" role={alone ? 'heading' : undefined}>
        {title}
      </Txt>
      {children ? <Txt className="text-pencil">{children}</Txt> : null}
      {action ? <SecondaryButton {...action} /> : null}
    </View>
  );
}

/** Something failed: what, and what to do. */
export function Failed({
  say,
  retry,
  leave,
}: {
  say: string;
  retry?: () => void;
  /** Where to go where trying again is of no use. */
  leave?: { label: string; onPress: () => void };
}) {
  return (
    <View role="alert" className="gap-3 p-4">
      <View className="flex-row items-start gap-3">
        <StopMark />
        <Txt as="row" className="flex-1 text-oxideInk">
          {say}
        </Txt>
      </View>
      {retry ? <SecondaryButton label={t('Try again')} onPress={retry} /> : null}
      {leave ? <SecondaryButton {...leave} /> : null}
    </View>
  );
}
