import type { Colours } from '@/shared/ui/tokens.cjs';
import {
  dateText,
  dayClockText,
  INTENT_NAMES,
  STATION_NAMES,
  STATIONS,
  type Zone,
  t,
} from '@kelmot/core';
import { REPAIR_SORTS } from '@kelmot/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { FlatList, Pressable, TextInput, View } from 'react-native';
import { Frame } from '@/features/frame';
import { RepairAside } from '@/shared/repair/RepairAside';
import { loadErrorText } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { Tag } from '@/shared/ui/Button';
import { Choices } from '@/shared/ui/fields';
import { useLayout } from '@/shared/ui/layout';
import { StopMark } from '@/shared/ui/marks';
import { Empty, Failed, Skeleton } from '@/shared/ui/states';
import { Table, type Column, type Sorted } from '@/shared/ui/Table';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import { useZone } from '@/shared/ui/useZone';
import { openRepair } from '../../shared/repairs/openRepair';
import { placeOf, useBenchRows, type BenchRow } from '../../shared/repairs/useBenchRows';

/** When it must be back in service, or when it was closed and its next look is due. */
function whenText({ row }: BenchRow, now: number, zone: Zone): string {
  const day = (at: string) => dateText(Date.parse(at), zone);
  return row.status === 'closed'
    ? row.dueOn
      ? t('Closed {closed}, look again {due}', {
          closed: day(row.updatedAt),
          due: dateText(Date.parse(row.dueOn), 'UTC'),
        })
      : t('Closed {closed}', { closed: day(row.updatedAt) })
    : t('Back by {time}', { time: dayClockText(Date.parse(row.backBy), now, zone) });
}

const columnsAt = (now: number, zone: Zone, byServer: boolean): Column<BenchRow>[] => [
  {
    key: 'tag',
    title: t('Tag'),
    share: 1.1,
    text: ({ row }) => row.tag,
    cell: ({ row }) => (
      <Txt as="inline" className="font-head">
        {row.tag}
      </Txt>
    ),
  },
  { key: 'asset', title: t('Asset'), share: 2.4, text: ({ row }) => row.assetName },
  { key: 'damage', title: t('Damage'), share: 2.2, text: ({ row }) => row.title },
  { key: 'card', title: t('Card'), share: 0.9, text: ({ row }) => row.cardCode ?? '' },
  {
    key: 'intent',
    title: t('Intent'),
    share: 1.2,
    text: ({ row }) => INTENT_NAMES[row.intent],
  },
  {
    key: 'station',
    title: t('Station'),
    share: 0.9,
    text: ({ row }) => (row.status === 'closed' ? t('closed') : STATION_NAMES[row.station]),
    by: ({ row }) => STATIONS.indexOf(row.station),
  },
  {
    key: 'next',
    title: t('Next'),
    share: 2.2,
    text: ({ say }) => say,
    by: ({ act, row }) => act?.clockTo ?? Date.parse(row.backBy),
    // Its clock runs on the device: the server cannot sort by it.
    ...(byServer && { unsorted: true }),
    cell: (item) => {
      const stopped = placeOf(item) === 'stopped' && item.row.status === 'open';
      return (
        <View className="flex-row items-center gap-1.5">
          {stopped ? <StopMark size={15} /> : null}
          <Txt as="inline" className={stopped ? 'text-oxideInk' : ''}>
            {item.say}
          </Txt>
        </View>
      );
    },
  },
  {
    key: 'when',
    title: t('When'),
    share: 2,
    text: (item) => whenText(item, now, zone),
    by: ({ row }) => Date.parse(row.status === 'closed' ? row.updatedAt : row.backBy),
  },
];

const nameOf = ({ row }: BenchRow) => `${row.tag} ${row.assetName}, ${row.title}`;

const FILTERS = [
  { value: 'open', label: t('Open') },
  { value: 'closed', label: t('Closed') },
  { value: 'all', label: t('All') },
  { value: 'pinned', label: t('Pinned') },
] as const;
type Filter = (typeof FILTERS)[number]['value'];
const BEGINS = t('A repair starts with its survey.');
const NONE_YET: Record<Filter, string> = {
  open: BEGINS,
  closed: t('A repair is closed by its sign-off.'),
  all: BEGINS,
  pinned: t('To keep a repair on this device, pin it at the end of any of its stations.'),
};

function Row({ item, now }: { item: BenchRow; now: number }) {
  const zone = useZone();
  const { row, say } = item;
  const stopped = placeOf(item) === 'stopped' && row.status === 'open';
  return (
    <Pressable
      role="link"
      testID={`repair-${row.tag}`}
      onPress={() => openRepair(row, 'phone')}
      className="gap-1 border-b border-rule px-4 py-2.5 active:bg-shade"
    >
      <View className="flex-row flex-wrap items-center gap-x-2">
        <Tag text={row.tag} />
        <Txt as="row" className="min-w-[5rem] flex-1" numberOfLines={2}>
          {row.assetName}
        </Txt>
        {stopped ? <StopMark size={20} /> : null}
        <Txt
          as="inline"
          className={`max-w-full text-right ${stopped ? 'text-oxideInk' : ''}`}
          numberOfLines={2}
        >
          {say}
        </Txt>
      </View>
      <View className="flex-row flex-wrap justify-between gap-x-3">
        <Txt as="label" numberOfLines={1} className="min-w-[50%] flex-1">
          {row.title}
          {row.cardCode ? `, ${row.cardCode}` : ''}, {INTENT_NAMES[row.intent]}
        </Txt>
        <Txt as="label" numberOfLines={1} className="max-w-full">
          {whenText(item, now, zone)}
        </Txt>
      </View>
    </Pressable>
  );
}

/** All repairs, open and closed, with search. */
export function RepairsScreen() {
  const [q, setQ] = useState('');
  const [status, setStatus] = useState<Filter>('open');
  const { c } = useTheme();
  const zone = useZone();
  const signal = useAppSelector((s) => s.view.signal);
  const [sorted, setSorted] = useState<Sorted | null>(null);
  // Without signal, and for what is pinned, the rows on the device are all there are.
  const byServer = signal && status !== 'pinned';
  const sort = REPAIR_SORTS.find((key) => byServer && key === sorted?.key);
  const { benchRows, now, isLoading, error, refetch, hasNextPage, fetchNextPage } = useBenchRows({
    status,
    q: q.trim(),
    ...(sort && { sort, order: sorted?.down ? 'down' : 'up' }),
  });
  const wide = useLayout() === 'wide';
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const selected = benchRows.find((a) => a.row.id === selectedId) ?? benchRows[0];
  const more = () => {
    if (hasNextPage) void fetchNextPage();
  };
  return (
    <Frame
      tab="repairs"
      folded={wide}
      aside={selected ? <RepairAside key={selected.row.id} id={selected.row.id} /> : null}
    >
      <Find q={q} setQ={setQ} c={c} status={status} setStatus={setStatus} />
      {isLoading && !sort ? <Skeleton rows={6} /> : null}
      {error && benchRows.length === 0 ? (
        <Failed say={loadErrorText(error)} retry={() => void refetch()} />
      ) : null}
      {!isLoading && !error && benchRows.length === 0 ? (
        <Empty
          title={q.trim() ? t('Nothing found.') : t('None here yet.')}
          action={
            status === 'pinned'
              ? undefined
              : { label: t('New repair'), onPress: () => router.navigate('/new') }
          }
        >
          {q.trim() ? t('Try a tag, a part of a name, or All.') : NONE_YET[status]}
        </Empty>
      ) : null}
      {wide && (benchRows.length > 0 || sort) ? (
        <Table
          name={t('Repairs')}
          columns={columnsAt(now, zone, byServer)}
          sortedBy={byServer ? { sorted, onSort: setSorted } : undefined}
          rows={benchRows}
          keyOf={(a) => a.row.id}
          labelOf={nameOf}
          testIdOf={(a) => `repair-${a.row.tag}`}
          selected={selected?.row.id ?? null}
          onSelect={(a) => setSelectedId(a.row.id)}
          onOpen={({ row }) => openRepair(row, 'wide')}
          onEnd={more}
        />
      ) : (
        <FlatList
          data={benchRows}
          keyExtractor={(a) => a.row.id}
          renderItem={({ item }) => <Row item={item} now={now} />}
          onEndReached={more}
          initialNumToRender={16}
        />
      )}
    </Frame>
  );
}

function Find({
  q,
  setQ,
  c,
  status,
  setStatus,
}: {
  q: string;
  setQ: (value: string) => void;
  c: Colours;
  status: Filter;
  setStatus: (status: Filter) => void;
}) {
  return (
    <View className="gap-3 border-b border-ink bg-paper px-4 py-3">
      <Txt as="screen" role="heading">
        {t('Repairs')}
      </Txt>
      <TextInput
        value={q}
        onChangeText={setQ}
        placeholder={t('Find tag, name or place')}
        placeholderTextColor={c.pencil}
        aria-label={t('Find repairs by tag, name or place')}
        testID="repairs-search"
        className="h-12 rounded border-[1.5px] border-ink bg-sheet px-3 font-name text-row text-ink"
      />
      <Choices
        id="filter"
        label={t('Which repairs')}
        options={[...FILTERS]}
        value={status}
        onPick={(v) => setStatus(v as Filter)}
      />
    </View>
  );
}
