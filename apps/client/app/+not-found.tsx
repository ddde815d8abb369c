import { t } from '@kelmot/core';
import { router } from 'expo-router';
import { Frame } from '@/features/frame';
import { Empty } from '@/shared/ui/states';

export default function NotFound() {
  return (
    <Frame tab={null}>
      <Empty
        title={t('No such page.')}
        alone
        action={{ label: t('To the bench'), onPress: () => router.navigate('/') }}
      >
        {t('The address is not one of Kelmot’s.')}
      </Empty>
    </Frame>
  );
}
