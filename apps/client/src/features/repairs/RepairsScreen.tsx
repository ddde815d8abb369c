import { dateText, dayClockText, INTENT_NAMES } from '@kelmot/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { FlatList, Pressable, TextInput, View } from 'react-native';
import { Frame } from '@/features/frame/Frame';
import { sayError } from '@/store/api';
import { Tag } from '@/ui/Button';
import { Choices } from '@/ui/fields';
import { StopMark } from '@/ui/marks';
import { Empty, Failed, Skeleton } from '@/ui/states';
import { useTheme } from '@/ui/theme';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { placeOf, useActs, type ActRow } from './useActs';

const FILTERS = [
  { value: 'open', label: 'Open' },
  { value: 'closed', label: 'Closed' },
  { value: 'all', label: 'All' },
] as const;
type Filter = (typeof FILTERS)[number]['value'];

function Row({ item, now }: { item: ActRow; now: number }) {
  const { row, say } = item;
  const zone = zoneMin();
  const stopped = placeOf(item) === 'stopped' && row.status === 'open';
  const when =
    row.status === 'closed'
      ? `Closed ${dateText(Date.parse(row.updatedAt), zone)}${row.dueOn ? `, look again ${dateText(Date.parse(row.dueOn), zone)}` : ''}`
      : `Back by ${dayClockText(Date.parse(row.backBy), now, zone)}`;
  return (
    <Pressable
      role="link"
      aria-label={`${row.tag} ${row.assetName}, ${row.title}`}
      testID={`repair-${row.tag}`}
      onPress={() => router.navigate(`/repair/${row.id}/${row.station}`)}
      className="gap-1 border-b border-rule px-4 py-2.5 active:bg-shade"
    >
      <View className="flex-row items-center gap-2">
        <Tag text={row.tag} />
        <Txt as="row" className="flex-1" numberOfLines={1}>
          {row.assetName}
        </Txt>
        {stopped ? <StopMark size={20} /> : null}
        <Txt as="inline" className={stopped ? 'text-oxideInk' : ''} numberOfLines={1}>
          {say}
        </Txt>
      </View>
      <View className="flex-row justify-between gap-3">
        <Txt as="label" numberOfLines={1} className="flex-1">
          {row.title}
          {row.cardCode ? `, ${row.cardCode}` : ''}, {INTENT_NAMES[row.intent].toLowerCase()}
        </Txt>
        <Txt as="label" numberOfLines={1}>
          {when}
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
  const now = useNow(15_000);
  const { acts, isLoading, error, refetch, hasNextPage, fetchNextPage } = useActs(
    { status, q: q.trim() },
    now,
  );
  return (
    <Frame tab="repairs">
      <View className="gap-3 border-b border-ink bg-paper px-4 py-3">
        <Txt as="screen" role="heading">
          Repairs
        </Txt>
        <TextInput
          value={q}
          onChangeText={setQ}
          placeholder="Find tag, name or place"
          placeholderTextColor={c.pencil}
          aria-label="Find repairs by tag, name or place"
          testID="repairs-search"
          className="h-12 rounded border-[1.5px] border-ink bg-sheet px-3 font-name text-row text-ink"
        />
        <Choices
          id="filter"
          label="Which repairs"
          options={[...FILTERS]}
          value={status}
          onPick={(v) => setStatus(v as Filter)}
        />
      </View>
      {isLoading ? <Skeleton rows={6} /> : null}
      {error ? <Failed say={sayError(error)} retry={() => void refetch()} /> : null}
      {!isLoading && !error && acts.length === 0 ? (
        <Empty
          title={q.trim() ? 'Nothing found.' : 'None here yet.'}
          action={{ label: 'New repair', onPress: () => router.navigate('/new') }}
        >
          {q.trim() ? 'Try a tag, a part of a name, or All.' : 'A repair starts with its survey.'}
        </Empty>
      ) : null}
      <FlatList
        data={acts}
        keyExtractor={(a) => a.row.id}
        renderItem={({ item }) => <Row item={item} now={now} />}
        onEndReached={() => hasNextPage && void fetchNextPage()}
        initialNumToRender={16}
      />
    </Frame>
  );
}
