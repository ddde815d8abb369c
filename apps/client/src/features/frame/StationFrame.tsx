import { STATION_NAMES, STATIONS, type StationId, t } from '@kelmot/core';
import { router } from 'expo-router';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame/Frame';
import { pageTitle } from '@/shared/ui/pageTitle';
import { OutboxState } from '@/features/frame/OutboxState';
import { useKey } from '@/shared/ui/useKey';
import { BackArrow, Tag } from '@/shared/ui/Button';
import { useLayout } from '@/shared/ui/layout';
import { StationScale } from '@/shared/ui/StationScale';
import { Txt } from '@/shared/ui/Txt';
import { EarlierPlanRecord } from '../../shared/repair/EarlierPlanRecord';
import { Pin } from '../../shared/repair/Pin';
import { PresentHere } from '../../shared/repair/Present';
import { useLive } from '../../shared/repair/useLive';

/** The largest width of a section, px: more shows no more detail. */
const WIDEST_SECTION = 620;

interface StationFrameProps {
  id: string | null;
  station: StationId;
  reached: StationId;
  /** For each round, whether it is placed: notches of the station scale. */
  rounds?: readonly boolean[];
  tag: string;
  title: string;
  /** The section; on a phone it is above everything else, as wide as the screen. */
  header?: (width: number) => ReactNode;
  /** The section stays visible while the rest scrolls, as in the survey. */
  pinned?: boolean;
  aside?: ReactNode;
  /** The one primary action, above the scale. */
  action?: ReactNode;
  /** Covers the lower half of a phone's screen: the working of a figure. */
  sheet?: ReactNode;
  /** Scrolls back to the top when it changes. */
  top?: string;
  /** The step that is shown, where it is a single one: other people who have the repair open see it. */
  step?: string;
  children: ReactNode;
}

/**
 * A station of a repair: the scale of seven stations (below on a phone, on top on a wide screen), one main action, one
 * scroll area.
 */
export function StationFrame({
  id,
  station,
  reached,
  rounds,
  tag,
  title,
  header,
  pinned = false,
  aside,
  action,
  sheet,
  top,
  step,
  children,
}: StationFrameProps) {
  const layout = useLayout();
  useLive(id, step);
  const [width, setWidth] = useState(0);
  const scroll = useRef<ScrollView>(null);
  useEffect(() => {
    if (top) scroll.current?.scrollTo({ y: 0, animated: false });
  }, [top]);
  const go = (to: StationId) => {
    if (id) router.navigate(`/repair/${id}/${to}`);
  };
  const drawn = width > 0 ? header?.(Math.min(width, WIDEST_SECTION)) : null;
  const named = pageTitle([STATION_NAMES[station], tag, title].filter(Boolean).join(', '));
  return (
    <Frame tab="repairs" aside={aside} bare openId={id ?? undefined}>
      {STATIONS.map((s, i) => (
        <StationKey key={s} number={i + 1} go={() => go(s)} />
      ))}
      <View className="flex-1" onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        {layout === 'phone' ? (
          <PhoneHead tag={tag} named={named} title={title} station={station} id={id} />
        ) : width > 0 ? (
          <>
            <StationScale
              width={width}
              current={station}
              reached={reached}
              rounds={rounds}
              onPick={go}
              named
            />
            <WideHead tag={tag} named={named} title={title} id={id} />
          </>
        ) : null}
        {layout !== 'wide' && pinned ? drawn : null}
        <ScrollView
          ref={scroll}
          className="flex-1"
          keyboardShouldPersistTaps="handled"
          testID={`screen-${top ? 'run' : station}`}
        >
          {layout === 'wide' || pinned ? null : drawn}
          {id ? <EarlierPlanRecord id={id} /> : null}
          {children}
          {id && !top ? <Pin id={id} tag={tag} /> : null}
          <View className="h-6" />
        </ScrollView>
        {layout === 'wide' ? null : sheet}
      </View>
      {action ? <View className="border-t border-rule bg-paper px-4 py-3">{action}</View> : null}
      {layout === 'phone' && width > 0 ? (
        <StationScale
          width={width}
          current={station}
          reached={reached}
          rounds={rounds}
          onPick={go}
        />
      ) : null}
    </Frame>
  );
}

function WideHead({
  tag,
  named,
  title,
  id,
}: {
  tag: string;
  named: object;
  title: string;
  id: string | null;
}) {
  return (
    <View className="flex-row items-center gap-3 border-y border-ink bg-sheet px-4 py-2">
      {tag ? <Tag text={tag} /> : null}
      <Txt as="row" role="heading" {...named} className="min-w-0 flex-1">
        {title}
      </Txt>
      {id ? <PresentHere id={id} /> : null}
    </View>
  );
}

function PhoneHead({
  tag,
  named,
  title,
  station,
  id,
}: {
  tag: string;
  named: object;
  title: string;
  station: StationId;
  id: string | null;
}) {
  return (
    <View className="flex-row items-center gap-2 bg-sheet pr-4">
      <BackArrow label={t('Back to the bench')} onPress={() => router.navigate('/')} />
      {tag ? <Tag text={tag} /> : null}
      <Txt as="row" role="heading" {...named} className="min-w-0 flex-1" numberOfLines={2}>
        {title || STATION_NAMES[station]}
      </Txt>
      {id ? <PresentHere id={id} /> : null}
      <OutboxState quiet />
    </View>
  );
}

function StationKey({ number, go }: { number: number; go: () => void }) {
  useKey(String(number), go);
  return null;
}
