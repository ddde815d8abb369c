import { t } from '@kelmot/core';
import type { ReactNode } from 'react';
import { Modal, ScrollView, View } from 'react-native';
import { LinkButton } from './Button';
import { useTheme } from './theme';
import { Txt } from './Txt';
import { useDialog } from './useDialog';

interface OverPageProps {
  title: string;
  /** The accessible name, where the title alone says too little. */
  label: string;
  testID: string;
  close: () => void;
  children: ReactNode;
}

/** Covers the whole page, wherever it was opened; in its own theme, closed by a press or Escape. */
export function PageOverlay({ title, label, testID, close, children }: OverPageProps) {
  const { style } = useTheme();
  const dialog = useDialog(true, close);
  return (
    <Modal visible animationType="none">
      <View style={style} className="flex-1 bg-paper">
        <ScrollView keyboardShouldPersistTaps="handled">
          <View
            {...dialog}
            role="group"
            aria-label={label}
            testID={testID}
            className="w-full max-w-[760px] gap-3 self-center p-4"
          >
            <View className="flex-row items-center justify-between gap-3">
              <Txt as="screen" role="heading">
                {title}
              </Txt>
              <LinkButton
                label={t('Close')}
                hint={t('Close: {label}', { label })}
                testID={`${testID}-close`}
                onPress={close}
              />
            </View>
            {children}
          </View>
        </ScrollView>
      </View>
    </Modal>
  );
}
