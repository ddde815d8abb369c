import { t } from '@kelmot/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { LinkButton, SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { FieldError } from '@/shared/ui/fields';

/** The button that opens an instrument, and the notice when it cannot be reached. */
export function OpenInstrument({
  id,
  label,
  failed,
  open,
}: {
  id: string;
  label: string;
  failed: boolean;
  open: () => void;
}) {
  return (
    <View className="gap-1">
      <SecondaryButton label={label} testID={`read-${id}`} onPress={open} />
      <FieldError
        error={
          failed
            ? t('No connection. Switch the instrument on and bring it near, or type its reading.')
            : null
        }
      />
    </View>
  );
}

/** An open instrument: its name, its value, and the button that takes the value. */
export function InstrumentBox({
  name,
  close,
  takeLabel,
  take,
  children,
}: {
  name: string;
  close: () => void;
  takeLabel: string;
  /** Null while there is nothing to take. */
  take: (() => void) | null;
  children: ReactNode;
}) {
  return (
    <View
      className="gap-3 rounded border-[1.5px] border-ink bg-paper p-3"
      role="group"
      aria-label={name}
      testID="instrument"
    >
      <View className="flex-row items-center justify-between gap-3">
        <Txt as="label" className="min-w-0 flex-1">
          {name}
        </Txt>
        <LinkButton
          label={t('Close')}
          hint={t('Close the {name}', { name })}
          testID="instrument-close"
          onPress={close}
        />
      </View>
      {children}
      <SecondaryButton
        label={takeLabel}
        testID="instrument-take"
        disabled={take === null}
        onPress={() => take?.()}
      />
    </View>
  );
}
