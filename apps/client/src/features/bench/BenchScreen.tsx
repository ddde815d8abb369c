import { clockText, DAY, dateText, HOUR, STATION_NAMES, type Axis, t } from '@kelmot/core';
import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import { lazyComponent } from '@/shared/laterChunk/lazyComponent';
import { laterChunk } from '@/shared/laterChunk/useLaterChunk';
import { Frame, OutboxState } from '@/features/frame';
import { listAxis, ownAxis } from '@/shared/repairs/benchAxis';
import { openRepair } from '@/shared/repairs/openRepair';
import { placeOf, useBenchRows, useRows, type BenchRow } from '@/shared/repairs/useBenchRows';
import { loadErrorText, useSiteQuery } from '@/store/api';
import { unfinishedOf } from '@/store/drafts';
import { useAppSelector } from '@/store/hooks';
import { usePerson } from '@/store/usePerson';
import { LinkButton, SecondaryButton, Tag } from '@/shared/ui/Button';
import { Countdown } from '@/shared/ui/Countdown';
import { AxisRuler, CureStrip } from '@/shared/ui/CureStrip';
import { useLayout, useMargins } from '@/shared/ui/layout';
import { StopMark, WaitMark } from '@/shared/ui/marks';
import { Empty, Failed, Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';

/** About as many running repairs as fill a phone's screen. */
const IN_SIGHT = 4;

const RepairAside = lazyComponent(async () => (await laterChunk()).RepairAside);

function Head({ row, right }: { row: BenchRow['row']; right: string }) {
  return (
    <View className="flex-row items-center gap-2.5">
      <Tag text={row.tag} />
      <Txt as="row" className="min-w-0 flex-1" numberOfLines={2}>
        {row.assetName}
      </Txt>
      <Txt as="label" numberOfLines={1}>
        {right}
      </Txt>
    </View>
  );
}

/** A running repair: the clock to the next action, its text, and the strip on the shared axis. */
function Running({
  item,
  axis,
  width,
  now,
  ruling,
}: {
  item: BenchRow;
  axis: Axis;
  width: number;
  now: number;
  ruling: boolean;
}) {
  const zone = useZone();
  const { row, act, strips } = item;
  const layout = useLayout();
  const { say, tell } = useWords();
  if (!act) return null;
  const closing = act.phase === 'overcoat' && act.clockTo !== null && act.clockTo - now < HOUR;
  const own = ruling ? ownAxis(act.strip, { now, width, zone }) : null;
  const right =
    act.phase === 'place'
      ? t('Mix')
      : act.phase === 'cure' || act.phase === 'ready'
        ? STATION_NAMES.cure
        : STATION_NAMES.build;
  return (
    <Pressable
      role="link"
      testID={`bench-${row.tag}`}
      onPress={() => openRepair(row, layout)}
      className="mx-4 gap-1 border-b border-rule py-3 active:opacity-80"
    >
      <Head row={row} right={right} />
      <View className="min-h-[48px] flex-row flex-wrap items-center gap-x-4">
        {act.clockTo !== null ? (
          <Countdown
            to={act.clockTo}

            ruling={ruling}
            tone={closing ? 'closing' : 'ink'}
          />
        ) : null}
        <View className="min-w-[9rem] flex-1">
          <Txt as="strong">{tell(act.say)}</Txt>
          <Txt className="text-pencil">{say(act.second)}</Txt>
        </View>
      </View>
      {strips.map((s) => {
        const isCurrent = s.round.id === act.round.id;
        return (
          <View key={s.round.id}>
            {strips.length > 1 ? (
              <Txt as="label">
                {tell(s.round.name)}, {s.round.cardCode}
              </Txt>
            ) : null}
            {isCurrent && own ? (
              <AxisRuler axis={own} now={now} label={clockText(now, zone)} />
            ) : null}
            <CureStrip
              strip={isCurrent ? act.strip : s.strip}
              axis={(isCurrent && own) || axis}
              now={now}
              height={ruling && isCurrent ? 26 : 14}
              withWindow={s.strip.window !== null}
            />
          </View>
        );
      })}
    </Pressable>
  );
}

function Stopped({ item }: { item: BenchRow }) {
  const { row } = item;
  const layout = useLayout();
  const { tell } = useWords();
  return (
    <View className="mx-4 gap-2 border-b border-rule py-3">
      <View className="flex-row items-start gap-3">
        <StopMark size={32} />
        <View className="min-w-0 flex-1 gap-1">
          <Head row={row} right={STATION_NAMES[row.station]} />
          <Txt as="row" className="text-oxideInk">
            {row.stop ? tell(row.stop) : ''}
          </Txt>
        </View>
      </View>
      <SecondaryButton
        label={t('Measure again')}
        hint={t('Measure again at {tag}', { tag: row.tag })}
        onPress={() => openRepair(row, layout)}
      />
    </View>
  );
}

/** Drafts on this device that somebody began and has not finished. */
function Unfinished() {
  const me = usePerson();
  const drafts = useAppSelector((s) => s.drafts);
  return unfinishedOf(drafts, me?.id ?? '').map(({ repairId, draft: { asset } }) => (
    <Pressable
      key={repairId ?? 'new'}
      role="link"
      testID={`unfinished-${repairId ?? 'new'}`}
      onPress={() => router.navigate(repairId ? `/repair/${repairId}/survey` : '/new')}
      className="mx-4 min-h-[48px] flex-row items-center gap-3 border-b border-rule py-3 active:opacity-80"
    >
      <WaitMark size={26} />
      {asset.tag ? <Tag text={asset.tag} /> : null}
      <View className="min-w-0 flex-1">
        <Txt as="row" numberOfLines={2}>
          {asset.name || t('New repair')}
        </Txt>
        <Txt as="label">
          {repairId ? t('Changed survey, not saved') : t('New survey, not saved')}
        </Txt>
      </View>
    </Pressable>
  ));
}

/** Repairs that do not run: stopped, unfinished, due for a look, not begun. In that order. */
function NotRunning({ benchRows, now }: { benchRows: readonly BenchRow[]; now: number }) {
  const layout = useLayout();
  const { rows: closed } = useRows({ status: 'closed', q: '' });
  const stopped = benchRows.filter((a) => placeOf(a) === 'stopped');
  const waiting = benchRows.filter((a) => placeOf(a) === 'waiting');
  const due = closed.filter(({ dueOn }) => dueOn !== null && Date.parse(dueOn) <= now + DAY);
  return (
    <>
      {stopped.map((item) => (
        <Stopped key={item.row.id} item={item} />
      ))}
      <Unfinished />
      {due.map((row) => (
        <Pressable
          key={row.id}
          role="link"
          onPress={() => openRepair(row, layout)}
          className="mx-4 flex-row gap-3 border-b border-rule py-3"
        >
          <WaitMark size={26} />
          <View className="min-w-0 flex-1 gap-1">
            <Head row={row} right="" />
            <Txt>
              <Txt as="strong">
                {row.dueOn && Date.parse(row.dueOn) < now - DAY
                  ? t('Look overdue since {date}. ', {
                      date: dateText(Date.parse(row.dueOn), 'UTC'),
                    })
                  : t('Look due today. ')}
              </Txt>
              {row.title}
              {row.intent === 'stopgap' ? t(', stop-gap') : ''}.
            </Txt>
          </View>
        </Pressable>
      ))}
      {waiting.map(({ row }) => (
        <Pressable
          key={row.id}
          role="link"
          onPress={() => openRepair(row, layout)}
          className="mx-4 gap-1 border-b border-rule py-3"
        >
          <Head row={row} right={STATION_NAMES[row.station]} />
          <Txt as="label">{row.title}</Txt>
        </Pressable>
      ))}
    </>
  );
}

/** The bench: running, stopped, due for a look, not begun. In that order. */
export function BenchScreen() {
  const zone = useZone();
  const layout = useLayout();
  const window = useWindowDimensions();
  // A phone has no second pane: the strips need not wait for a measurement.
  const [width, setWidth] = useState(layout === 'phone' ? window.width : 0);
  const me = usePerson();
  const { data: site } = useSiteQuery();
  const { benchRows, now, isLoading, error, refetch } = useBenchRows({ status: 'open', q: '' });
  const running = benchRows.filter((a) => placeOf(a) === 'running');
  const stopped = benchRows.find((a) => placeOf(a) === 'stopped');
  const inner = width - useMargins();
  const axis = inner > 0 ? listAxis(now, inner, zone) : null;
  // Draws the visible part first and the rest in the next turn: on a slow phone the whole list takes a second.
  const whole = useDeferredValue(benchRows.length > 0, false) || benchRows.length === 0;
  const first = running[0]?.row.id ?? stopped?.row.id;
  return (
    <Frame tab="bench" aside={first ? <RepairAside id={first} /> : null}>
      <ScrollView
        className="flex-1"
        onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
        stickyHeaderIndices={[0]}
      >
        <View className="border-b border-ink bg-sheet">
          <View className="flex-row items-center gap-3 border-b border-rule bg-paper px-4 py-2">
            <Txt as="screen" role="heading">
              {t('Bench')}
            </Txt>
            <Txt as="label" className="flex-1" numberOfLines={1}>
              {layout === 'phone' ? site?.settings.name : ''}
            </Txt>
            <OutboxState quiet />
            {layout === 'phone' ? (
              <LinkButton
                label={me?.name.split(' ')[0] ?? t('Settings')}
                hint={t('who works here, settings')}
                testID="settings"
                onPress={() => router.navigate('/settings')}
              />
            ) : null}
          </View>
          <View className="px-4">
            {axis ? <AxisRuler axis={axis} now={now} label={clockText(now, zone)} /> : null}
          </View>
        </View>
        {isLoading ? <Skeleton /> : null}
        {error && benchRows.length === 0 ? (
          <Failed say={loadErrorText(error)} retry={() => void refetch()} />
        ) : null}
        {running.length > 0 && axis ? (
          <View className="border-b border-ink bg-sheet">
            {(whole ? running : running.slice(0, IN_SIGHT)).map((item, i) => (
              <Running
                key={item.row.id}
                item={item}
                axis={axis}
                width={inner}
                now={now}
                ruling={i === 0 && item.act?.clockTo !== null}
              />
            ))}
          </View>
        ) : null}
        {whole ? <NotRunning benchRows={benchRows} now={now} /> : null}
        {!isLoading && !error && benchRows.length === 0 ? (
          <Empty
            title={t('No repair is running.')}
            action={{ label: t('New repair'), onPress: () => router.navigate('/new') }}
          >
            {t('Repairs are listed here from survey to sign-off.')}
          </Empty>
        ) : null}
        <View className="h-8" />
      </ScrollView>
    </Frame>
  );
}
