import { resultRows, type Answer, type Calc, type ResultRow } from '@kelmot/core';
import { View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';

const figureText = (row: Extract<ResultRow, { kind: 'figure' }>) =>
  row.shown.unit === '€'
    ? `€${row.shown.figure}`
    : `${row.shown.figure}${row.shown.unit ? ` ${row.shown.unit}` : ''}`;

/** A result as lines of text, for a message or a record. */
export function resultText(title: string, rows: ResultRow[]): string {
  const lines = rows.flatMap((row) => {
    if (row.kind === 'figure') return [`${row.label}: ${figureText(row)}`];
    if (row.kind === 'words') return [`${row.label}: ${row.text}`];
    return [`${row.label}:`, row.head.join('\t'), ...row.rows.map((r) => r.join('\t'))];
  });
  return [title, ...lines].join('\n');
}

function Table({ row }: { row: Extract<ResultRow, { kind: 'table' }> }) {
  return (
    <View role="table" aria-label={row.label}>
      <Txt as="label">{row.label}</Txt>
      {[row.head, ...row.rows].map((cells, i) => (
        <View key={i} role="row" className="flex-row gap-3 border-b border-rule py-1.5">
          {cells.map((text, k) => (
            <Txt key={k} as={i === 0 ? 'label' : 'inline'} className="min-w-0 flex-1">
              {text}
            </Txt>
          ))}
        </View>
      ))}
    </View>
  );
}

/** The first figure large, the others in rows; or why there is no answer. */
export function ToolResult({ calc, answer }: { calc: Calc; answer: Answer<object> }) {
  const units = useAppSelector((s) => s.settings.units);
  if (!answer.ok) {
    return (
      <View role="alert" className="flex-row items-start gap-3" testID="tool-refused">
        <StopMark />
        <Txt as="row" className="flex-1 text-oxideInk">
          {answer.why}
        </Txt>
      </View>
    );
  }
  const [first, ...rest] = resultRows(calc, answer, units);
  const small = rest.filter((r) => r.kind !== 'table');
  const tables = [first, ...rest].filter(
    (r): r is Extract<ResultRow, { kind: 'table' }> => r?.kind === 'table',
  );
  return (
    <View className="gap-3" role="status" aria-live="polite" testID="tool-result">
      {first && first.kind !== 'table' ? (
        <View>
          <Txt as="label">{first.label}</Txt>
          <View className="flex-row items-baseline gap-1">
            {first.kind === 'figure' && first.shown.unit === '€' ? <Txt as="row">€</Txt> : null}
            <Txt as={first.kind === 'figure' ? 'clock' : 'screen'}>
              {first.kind === 'figure' ? first.shown.figure : first.text}
            </Txt>
            {first.kind === 'figure' && first.shown.unit !== '€' ? (
              <Txt as="row">{first.shown.unit}</Txt>
            ) : null}
          </View>
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2">
        {small.map((row) => (
          <View key={row.key}>
            <Txt as="label">{row.label}</Txt>
            <Txt as="inline">
              {row.kind === 'figure' ? figureText(row) : row.kind === 'words' ? row.text : ''}
            </Txt>
          </View>
        ))}
      </View>
      {tables.map((row) => (
        <Table key={row.key} row={row} />
      ))}
    </View>
  );
}
