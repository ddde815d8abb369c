import { formatFigure, type Answer, type Calc } from '../calc/calc';
import type { Named, Names } from '../calc/field';
import { figureAndUnit, type Shown } from '../units/format';
import { shownAs } from '../units/measure';
import type { UnitSystem } from '../units/quantities';

/** One line of a calculation's result for reading. */
export type ResultRow =
  | { kind: 'figure'; key: string; label: string; shown: Shown }
  | { kind: 'words'; key: string; label: string; text: string }
  | { kind: 'table'; key: string; label: string; head: string[]; rows: string[][] };

/** A result's number in the present unit system, rounded to what can be measured. */
function showField(named: Named, value: number, system: UnitSystem): Shown {
  const { measure, fixedUnit } = shownAs(named);
  if (!measure) return { figure: formatFigure(value).replace('-', '−'), unit: fixedUnit };
  return figureAndUnit(value * measure.factor, measure.quantity, {
    system,
    symbol: measure[system],
  });
}

const joined = ({ figure, unit }: Shown): string =>
  unit === '€' ? `${unit}${figure}` : unit ? `${figure} ${unit}` : figure;

function cell(named: Named, value: unknown, system: UnitSystem): string {
  if (typeof value === 'number') return joined(showField(named, value, system));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'string') return '';
  // A moment of a forecast: day and hour, without seconds.
  return /^\d{4}-\d\d-\d\dT/.test(value)
    ? value.replace('T', ' ').replace(/:\d\d\.000Z$/, ' UTC')
    : value;
}

/** The fields of an answer, the main one first, ready to show. Fields for drawing only are left out. */
export function resultRows(
  { result, headline }: Pick<Calc, 'result' | 'headline'>,
  answer: Answer<object>,
  system: UnitSystem,
): ResultRow[] {
  if (!answer.ok) return [];
  const rows = Object.entries(result).flatMap(([key, named]) => {
    const value = (answer as unknown as Record<string, unknown>)[key];
    return named === null || value === undefined ? [] : [rowOf(key, { named, value, system })];
  });
  return [...rows.filter((r) => r.key === headline), ...rows.filter((r) => r.key !== headline)];
}

function rowOf(
  key: string,
  { named, value, system }: { named: Named & { of?: Names }; value: unknown; system: UnitSystem },
): ResultRow {
  const label = named.title;
  if (typeof value === 'number')
    return { kind: 'figure', key, label, shown: showField(named, value, system) };
  const text = (words: string): ResultRow => ({ kind: 'words', key, label, text: words });
  if (value === null) return text('none');
  if (!Array.isArray(value)) return text(cell(named, value, system));
  if (!named.of) return text(value.length ? value.map(String).join(', ') : 'none');
  const columns = Object.entries(named.of).flatMap(([k, c]) => (c ? [[k, c] as const] : []));
  const rows = value.map((row) =>
    columns.map(([k, c]) => cell(c, (row as Record<string, unknown>)[k], system)),
  );
  return { kind: 'table', key, label, head: columns.map(([, c]) => c.title), rows };
}
