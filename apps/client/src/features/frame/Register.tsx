import { clockText, t } from '@kelmot/core';
import { useRef, useState } from 'react';
import { FlatList, Pressable, TextInput, View } from 'react-native';
import { AxisRuler, CureStrip } from '@/shared/ui/CureStrip';
import { useKey } from '@/shared/ui/useKey';
import { KeyHint } from '@/shared/ui/Button';
import { StopMark } from '@/shared/ui/marks';
import { Empty, Failed, Skeleton } from '@/shared/ui/states';
import { useTheme } from '@/shared/ui/theme';
import { Txt } from '@/shared/ui/Txt';
import { REGISTER_PX, useMargins } from '@/shared/ui/layout';
import { useZone } from '@/shared/ui/useZone';
import { loadErrorText } from '@/store/api';
import { listAxis } from '../../shared/repairs/benchAxis';
import { openRepair } from '../../shared/repairs/openRepair';
import { placeOf, useBenchRows, type BenchRow } from '../../shared/repairs/useBenchRows';

function Line({ item, now, open }: { item: BenchRow; now: number; open: boolean }) {
  const { row, act, say } = item;
  const zone = useZone();
  const axis = listAxis(now, REGISTER_PX - useMargins(), zone);
  const stopped = placeOf(item) === 'stopped';
  return (
    <Pressable
      role="link"
      aria-current={open ? 'true' : undefined}
      testID={`register-${row.tag}`}
      onPress={() => openRepair(row, 'wide')}
      className={`border-b border-rule px-4 py-2 ${open ? 'border-l-[5px] border-l-moss bg-sheet pl-[11px]' : 'active:bg-shade'}`}
    >
      <View className="flex-row items-baseline gap-1.5">
        <Txt as="inline" className="font-head">
          {row.tag}
        </Txt>
        <Txt as="inline" className="flex-1 font-label" numberOfLines={2}>
          {row.assetName}
        </Txt>
        {stopped ? (
          <View className="flex-row items-center gap-1">
            <StopMark size={15} />
            <Txt as="inline" className="text-oxideInk">
              {t('stop')}
            </Txt>
          </View>
        ) : (
          <Txt as="label" className="max-w-[45%] text-right text-ink" numberOfLines={2}>
            {say}
          </Txt>
        )}
      </View>
      {act ? (
        <View className="-mb-1 -mt-2">
          <CureStrip strip={act.strip} axis={axis} now={now} height={8} needle="line" />
        </View>
      ) : (
        <View
          className={`my-2.5 border-t ${stopped ? 'border-dotted border-oxide' : 'border-pencil'}`}
        />
      )}
    </Pressable>
  );
}

/** The register of the wide layout: open repairs by next action, each with its strip, and the search. */
export function Register({ openId }: { openId?: string }) {
  const zone = useZone();
  const width = REGISTER_PX - useMargins();
  const [q, setQ] = useState('');
  const { c } = useTheme();
  const box = useRef<TextInput>(null);
  useKey('/', () => box.current?.focus());
  const searching = q.trim() !== '';
  const { benchRows, now, isLoading, error, refetch, hasNextPage, fetchNextPage } = useBenchRows({
    status: searching ? 'all' : 'open',
    q: q.trim(),
  });
  return (
    <View className="flex-1" role="region" aria-label={t('Register')}>
      <View className="gap-1 border-b border-ink px-4 pt-2">
        <View className="flex-row items-center rounded border-[1.25px] border-ink bg-sheet">
          <TextInput
            ref={box}
            value={q}
            onChangeText={setQ}
            placeholder={t('Find tag or name')}
            placeholderTextColor={c.pencil}
            aria-label={t('Find tag or name')}
            testID="register-search"
            className="h-9 min-w-0 flex-1 px-2 font-label text-body text-ink"
          />
          <View className="pr-1.5">
            <KeyHint keyName="/" />
          </View>
        </View>
        <View className="flex-row items-baseline justify-between">
          <Txt as="row">
            {searching
              ? t('{count} found', { count: benchRows.length })
              : t('{count} open', { count: benchRows.length })}
          </Txt>
          <Txt as="label">{searching ? t('by last change') : t('by next act')}</Txt>
        </View>
        <AxisRuler axis={listAxis(now, width, zone)} now={now} label={clockText(now, zone)} />
      </View>
      {isLoading ? <Skeleton /> : null}
      {error && benchRows.length === 0 ? (
        <Failed say={loadErrorText(error)} retry={() => void refetch()} />
      ) : null}
      {!isLoading && !error && benchRows.length === 0 ? (
        <Empty title={searching ? t('Nothing found.') : t('No open repairs.')}>
          {searching
            ? t('Search for a tag, part of a name, or a place.')
            : t('Press New to start one.')}
        </Empty>
      ) : null}
      <FlatList
        data={benchRows}
        keyExtractor={(a) => a.row.id}
        renderItem={({ item }) => <Line item={item} now={now} open={item.row.id === openId} />}
        onEndReached={() => hasNextPage && void fetchNextPage()}
      />
    </View>
  );
}
