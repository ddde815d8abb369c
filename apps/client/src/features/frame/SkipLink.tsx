import { t } from '@kelmot/core';
import { Pressable, View } from 'react-native';
import { Txt } from '@/shared/ui/Txt';
import { headingOf, focusElement } from './useScreenFocus';

/** The first stop of the Tab key, hidden until focused: skips navigation and register and goes to the screen. */
export function SkipLink() {
  return (
    <View role="navigation" aria-label={t('Skip')}>
      <Pressable
        role="link"
        testID="skip"
        onPress={() => focusElement(headingOf())}
        className="absolute -top-24 left-2 z-50 min-h-[48px] justify-center rounded border-[1.5px] border-ink bg-sheet px-4 focus:top-2"
      >
        <Txt as="inline">{t('Skip to the screen')}</Txt>
      </Pressable>
    </View>
  );
}
