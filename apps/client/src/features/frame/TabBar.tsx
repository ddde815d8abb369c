import { t } from '@kelmot/core';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useLargeText } from '@/shared/ui/layout';
import { PlusMark, TabIcon } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { TABS, type TabId } from './tabs';

/** A phone's tab bar with four places and the round New button; two rows with large text. */
export function TabBar({ on }: { on: TabId | null }) {
  const large = useLargeText();
  return (
    <View
      className="flex-row flex-wrap border-t border-ink bg-sheet pr-[96px]"
      role="navigation"
      aria-label={t('Places')}
    >
      {TABS.map((tab) => {
        const here = tab.id === on;
        return (
          <Pressable
            key={tab.id}
            role="link"
            aria-label={tab.label}
            aria-current={here ? 'page' : undefined}
            onPress={() => router.navigate(tab.href)}
            testID={`tab-${tab.id}`}
            className="min-h-[64px] min-w-[3.4rem] flex-1 items-center justify-center gap-0.5"
          >
            <View className={`absolute top-0 h-1 w-12 ${here ? 'bg-ink' : ''}`} />
            <TabIcon name={tab.id} on={here} />
            <Txt as="label" className={`text-center ${here ? 'font-head text-ink' : ''}`}>
              {tab.label}
            </Txt>
          </Pressable>
        );
      })}
      <View className="absolute bottom-3 right-3 h-[73px] w-[73px] items-center justify-center rounded-full border-[1.5px] border-ink bg-paper">
        <Pressable
          role="button"
          aria-label={t('New repair')}
          testID="new-repair"
          onPress={() => router.navigate('/new')}
          className="h-[63px] w-[63px] items-center justify-center rounded-full bg-teal active:opacity-80"
        >
          <PlusMark />
          {large ? null : (
            <Txt as="inline" className="text-onTeal">
              {t('New')}
            </Txt>
          )}
        </Pressable>
      </View>
    </View>
  );
}
