import { t } from '@kelmot/core';
import { View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { keysToggled } from '@/store/view';
import { KeyHint, SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useDialog } from '@/shared/ui/useDialog';

const KEYS: [string, string][] = [
  ['/', t('Find a tag or a name')],
  ['n', t('New repair')],
  [t('1 to 7'), t('Go to a station')],
  ['Space', t('On the run sheet: do the current step (a pedal does the same)')],
  ['← →', t('On the run sheet: previous and next step')],
  ['t', t('Start the next batch, or mark it placed')],
  ['Esc', t('Close the window over the page')],
  ['?', t('Show or hide this list')],
];

/** The list of keyboard shortcuts. */
export function KeyboardHelp() {
  const shown = useAppSelector((s) => s.view.keysShown);
  const dispatch = useAppDispatch();
  const close = () => dispatch(keysToggled());
  const dialog = useDialog(shown, close);
  if (!shown) return null;
  return (
    <View
      {...dialog}
      role="dialog"
      aria-label={t('Keys')}
      testID="keys-help"
      className="absolute right-6 top-16 w-[340px] gap-3 border-[1.25px] border-ink bg-sheet p-4"
    >
      <Txt as="rowBold">{t('Keys')}</Txt>
      {KEYS.map(([key, does]) => (
        <View key={key} className="flex-row items-center gap-3">
          <View className="w-16 items-start">
            <KeyHint keyName={key} />
          </View>
          <Txt className="flex-1">{does}</Txt>
        </View>
      ))}
      <SecondaryButton label={t('Close')} onPress={close} />
    </View>
  );
}
