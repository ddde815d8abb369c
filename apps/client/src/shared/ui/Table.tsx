import { t } from '@kelmot/core';
import { useMemo, useState, type ReactNode } from 'react';
import { FlatList, Pressable, View } from 'react-native';
import { useCopy } from './useCopy';
import { LinkButton } from './Button';
import { Txt } from './Txt';

export interface Column<R> {
  key: string;
  title: string;
  /** Share of the table's width. */
  share: number;
  text: (row: R) => string;
  /** The sort key; by default the text. */
  by?: (row: R) => string | number;
  /** Cannot be sorted by. */
  unsorted?: true;
  cell?: (row: R) => ReactNode;
}

interface TableProps<R> {
  name: string;
  columns: readonly Column<R>[];
  rows: readonly R[];
  keyOf: (row: R) => string;
  /** Name and test id of the whole row. */
  labelOf: (row: R) => string;
  testIdOf: (row: R) => string;
  /** The selected row; a list that opens its rows elsewhere is told when a pointer or the keyboard is on one. */
  selected: string | null;
  onSelect?: (row: R) => void;
  onOpen: (row: R) => void;
  onEnd?: () => void;
  /** Rows come sorted from elsewhere, all of them: the server sorts more rows than are loaded. */
  sortedBy?: { sorted: Sorted | null; onSort: (sorted: Sorted) => void };
}

export interface Sorted {
  key: string;
  down: boolean;
}

function inOrder<R>(rows: readonly R[], columns: readonly Column<R>[], sorted: Sorted | null): R[] {
  const column = sorted && columns.find((c) => c.key === sorted.key);
  if (!column) return [...rows];
  const by = column.by ?? column.text;
  const way = sorted.down ? -1 : 1;
  return [...rows].sort((p, q) => {
    const [a, b] = [by(p), by(q)];
    return (
      way *
      (typeof a === 'number' && typeof b === 'number'
        ? a - b
        : String(a).localeCompare(String(b), 'en', { numeric: true }))
    );
  });
}

/** A dense table of the wide layout: sorts by any column, copies its rows, and reports the selected row. */
export function Table<R>(props: TableProps<R>) {
  const {
    name,
    columns,
    rows,
    keyOf,
    labelOf,
    testIdOf,
    selected,
    onSelect,
    onOpen,
    onEnd,
    sortedBy,
  } = props;
  const [own, setOwn] = useState<Sorted | null>(null);
  const sorted = sortedBy ? sortedBy.sorted : own;
  const setSorted = sortedBy?.onSort ?? setOwn;
  const { copy, said, byHand } = useCopy();
  const elsewhere = sortedBy !== undefined;
  const shown = useMemo(
    () => (elsewhere ? rows : inOrder(rows, columns, sorted)),
    [elsewhere, rows, columns, sorted],
  );
  const asText = () =>
    [columns.map((c) => c.title), ...shown.map((row) => columns.map((c) => c.text(row)))]
      .map((cells) => cells.map((t) => t.replace(/\s+/g, ' ')).join('\t'))
      .join('\n');
  return (
    <View className="min-h-0 flex-1" role="table" aria-label={name}>
      <TableHead
        columns={columns}
        sorted={sorted}
        setSorted={setSorted}
        said={said}
        name={name}
        copy={copy}
        asText={asText}
      />
      {byHand ? (
        <Txt selectable className="border-b border-rule px-4 py-2">
          {byHand}
        </Txt>
      ) : null}
      <FlatList
        data={shown}
        keyExtractor={keyOf}
        initialNumToRender={30}
        onEndReached={onEnd}
        renderItem={({ item }) => (
          <TableRow
            labelOf={labelOf}
            item={item}
            keyOf={keyOf}
            selected={selected}
            testIdOf={testIdOf}
            onOpen={onOpen}
            onSelect={onSelect}
            columns={columns}
          />
        )}
      />
    </View>
  );
}

function TableHead<R>({
  columns,
  sorted,
  setSorted,
  said,
  name,
  copy,
  asText,
}: {
  columns: readonly Column<R>[];
  sorted: Sorted | null;
  setSorted: (sorted: Sorted) => void;
  said: string;
  name: string;
  copy: (what: string, text: string) => void;
  asText: () => string;
}) {
  return (
    <View role="row" className="flex-row items-center gap-3 border-b border-ink px-4">
      {columns.map((c) => {
        const on = sorted?.key === c.key;
        return (
          <View
            key={c.key}
            role="columnheader"
            aria-sort={on ? (sorted.down ? 'descending' : 'ascending') : 'none'}
            style={{ flex: c.share }}
          >
            {c.unsorted ? (
              <Txt as="label">{c.title}</Txt>
            ) : (
              <Pressable
                role="button"
                aria-label={t('Sort: {title}', { title: c.title })}
                testID={`sort-${c.key}`}
                onPress={() => setSorted({ key: c.key, down: on && !sorted.down })}
                className="min-h-[40px] justify-center"
              >
                <Txt as="label" className={on ? 'text-ink' : ''}>
                  {c.title} {on ? (sorted.down ? '↓' : '↑') : ''}
                </Txt>
              </Pressable>
            )}
          </View>
        );
      })}
      <View className="w-14 items-end" role="columnheader">
        <LinkButton
          label={said ? t('Copied') : t('Copy')}
          hint={t('Copy the table: {name}', { name })}
          testID="table-copy"
          onPress={() => copy(t('Table'), asText())}
        />
      </View>
    </View>
  );
}

function TableRow<R>({
  labelOf,
  item,
  keyOf,
  selected,
  testIdOf,
  onOpen,
  onSelect,
  columns,
}: {
  labelOf: (row: R) => string;
  item: R;
  keyOf: (row: R) => string;
  selected: string | null;
  testIdOf: (row: R) => string;
  onOpen: (row: R) => void;
  onSelect: ((row: R) => void) | undefined;
  columns: readonly Column<R>[];
}) {
  return (
    <Pressable
      role="row"
      aria-label={labelOf(item)}
      aria-selected={keyOf(item) === selected}
      testID={testIdOf(item)}
      onPress={() => onOpen(item)}
      onFocus={() => onSelect?.(item)}
      onHoverIn={() => onSelect?.(item)}
      className={`min-h-[40px] flex-row items-center gap-3 border-b border-rule px-4 py-1.5 ${keyOf(item) === selected ? 'bg-sheet' : ''}`}
    >
      {columns.map((c) => (
        <View key={c.key} role="cell" style={{ flex: c.share }}>
          {c.cell ? (
            c.cell(item)
          ) : (
            <Txt as="inline" className="font-label">
              {c.text(item)}
            </Txt>
          )}
        </View>
      ))}
      <View className="w-14" aria-hidden />
    </Pressable>
  );
}
