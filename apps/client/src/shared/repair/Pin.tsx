import { t } from '@kelmot/core';
import { View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { pinned } from '@/store/settings';
import { CheckBox } from '@/shared/ui/fields';

/** Keeps a repair on this device whatever its state: it then opens without signal. */
export function Pin({ id, tag }: { id: string; tag: string }) {
  const dispatch = useAppDispatch();
  const on = useAppSelector((s) => s.settings.pinned[id] === true);
  return (
    <View className="border-t border-rule px-4 py-2">
      <CheckBox
        id="pin"
        label={t('Pin to this device')}
        name={t('Pin to this device: {tag}', { tag })}
        why={t(
          'A pinned repair opens without signal. Open and due repairs are kept on this device anyway.',
        )}
        on={on}
        onToggle={() => dispatch(pinned({ id, on: !on }))}
      />
    </View>
  );
}
