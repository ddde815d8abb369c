import { t } from '@kelmot/core';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import { useSiteQuery } from '@/store/api';
import { usePerson } from '@/store/usePerson';
import { KeyHint } from '@/shared/ui/Button';
import { Sign } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { OutboxState } from './OutboxState';
import { TABS, type TabId } from './tabs';

/** The top bar of the wide layout: places, the signed-in person, New. */
export function TopBar({ on }: { on: TabId | null }) {
  const me = usePerson();
  const { data: site } = useSiteQuery();
  return (
    <View
      className="h-12 flex-row items-center border-b-[1.25px] border-ink bg-sheet px-4"
      role="banner"
    >
      <View className="w-[284px] flex-row items-center gap-2.5">
        <Sign size={22} />
        <Txt as="rowBold">{t('Kelmot')}</Txt>
        <Txt as="label" numberOfLines={1} className="flex-1">
          {site?.settings.name}
        </Txt>
      </View>
      <View className="flex-1 flex-row gap-1" role="navigation" aria-label={t('Places')}>
        {TABS.map((tab) => {
          const here = tab.id === on;
          return (
            <Pressable
              key={tab.id}
              role="link"
              aria-label={tab.label}
              aria-current={here ? 'page' : undefined}
              testID={`tab-${tab.id}`}
              onPress={() => router.navigate(tab.href)}
              className={`h-12 justify-center border-b-4 px-3 ${here ? 'border-ink' : 'border-transparent'}`}
            >
              <Txt as="inline" className={here ? 'font-head' : 'font-label'}>
                {tab.label}
              </Txt>
            </Pressable>
          );
        })}
      </View>
      <View className="flex-row items-center gap-4">
        <OutboxState />
        <Pressable
          role="link"
          aria-label={t('{name}: who works here, settings', { name: me?.name ?? '' })}
          testID="settings"
          onPress={() => router.navigate('/settings')}
          className="h-12 justify-center"
        >
          <Txt as="inline">{me?.name}</Txt>
        </Pressable>
        <Pressable
          role="button"
          testID="new-repair"
          onPress={() => router.navigate('/new')}
          className="h-9 flex-row items-center gap-2 rounded bg-teal px-3 active:opacity-80"
        >
          <Txt as="inline" className="text-onTeal">
            {t('New')}
          </Txt>
          <KeyHint keyName="n" onTeal />
        </Pressable>
      </View>
    </View>
  );
}
