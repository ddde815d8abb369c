import { t } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { BackArrow } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

/** The head of a quick tool: its name, and the link to all tools. */
export function ToolHead({ title }: { title: string }) {
  return (
    <View className="flex-row flex-wrap items-center gap-x-2 border-b border-ink bg-sheet pr-4">
      <BackArrow label={t('Back to Know-how')} onPress={() => router.navigate('/know-how')} />
      <Txt as="row" role="heading" className="min-w-0 flex-1 basis-20">
        {title}
      </Txt>
      <Txt as="label" className="pl-4">
        {t('quick tool')}
      </Txt>
    </View>
  );
}
