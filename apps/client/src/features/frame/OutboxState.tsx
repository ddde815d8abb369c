import { t } from '@kelmot/core';
import { useAppSelector } from '@/store/hooks';
import { WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { View } from 'react-native';

/** The number of commands in the outbox, in the top bar. */
export function OutboxState({ quiet = false }: { quiet?: boolean }) {
  const queue = useAppSelector((s) => s.outbox.queue);
  const stuck = queue.filter((w) => w.refused).length;
  if (queue.length === 0) return quiet ? null : <Txt as="label">{t('all sent')}</Txt>;
  return (
    <View className="flex-row items-center gap-2" role="status" testID="send-state">
      <WaitMark size={18} />
      <Txt as="label" className="text-ink">
        {stuck > 0
          ? t('{stuck} rejected', { stuck })
          : t('{queue} waiting to send', { queue: queue.length })}
      </Txt>
    </View>
  );
}
