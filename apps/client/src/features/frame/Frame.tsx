import { t } from '@kelmot/core';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Register } from '@/features/frame/Register';
import { useAppDispatch } from '@/store/hooks';
import { keysToggled } from '@/store/view';
import { REGISTER_PX, useLayout } from '@/shared/ui/layout';
import { KeyboardHelp } from './KeyboardHelp';
import { Notices } from './Notices';
import { TabBar } from './TabBar';
import { TopBar } from './TopBar';
import type { TabId } from './tabs';
import { useKey } from '../../shared/ui/useKey';

interface FrameProps {
  tab: TabId | null;
  /** The third pane of the wide layout. */
  aside?: ReactNode;
  /** Inside a repair, the station scale replaces a phone's tab bar. */
  bare?: boolean;
  openId?: string;
  /** The register is folded where the screen itself shows the same list. */
  folded?: boolean;
  children: ReactNode;
}

/** Puts a screen into the layout of the device: one column, two panes, or register, station and section. */
export function Frame({ tab, aside, bare = false, openId, folded = false, children }: FrameProps) {
  const layout = useLayout();
  const dispatch = useAppDispatch();
  useKey('n', () => router.navigate('/new'));
  useKey('?', () => dispatch(keysToggled()));
  if (layout === 'phone') {
    return (
      <View className="flex-1 bg-paper">
        <Notices />
        <View className="flex-1" role="main">
          {children}
        </View>
        {bare ? null : <TabBar on={tab} />}
      </View>
    );
  }
  const wide = layout === 'wide';
  return (
    <View className="flex-1 bg-paper">
      <TopBar on={tab} />
      <Notices />
      <View className="flex-1 flex-row">
        {folded ? null : (
          <View className="border-r-[1.25px] border-ink" style={{ width: REGISTER_PX }}>
            <Register openId={openId} />
          </View>
        )}
        <View className="min-w-0 flex-1" role="main">
          {children}
        </View>
        {wide && aside ? (
          <View
            className="w-[380px] border-l-[1.25px] border-ink bg-sheet"
            role="complementary"
            aria-label={t('Beside it')}
          >
            {aside}
          </View>
        ) : null}
      </View>
      <KeyboardHelp />
    </View>
  );
}
