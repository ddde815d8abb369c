import { fig, type Answer } from '../calc/calc';
import { show, type Shown } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import { fieldName } from './fieldNames';

/** One line of a calculation's result as a person reads it. */
export type ResultRow =
  | { kind: 'figure'; key: string; label: string; shown: Shown }
  | { kind: 'words'; key: string; label: string; text: string }
  | { kind: 'table'; key: string; label: string; head: string[]; rows: string[][] };

/** A result's number in the unit of the system in use, rounded to what can be measured. */
export function showField(key: string, value: number, system: UnitSystem): Shown {
  const { measure, fixedUnit } = fieldName(key);
  if (!measure) return { figure: fig(value).replace('-', '−'), unit: fixedUnit };
  return show(value * measure.factor, measure.quantity, system, measure[system]);
}

const joined = ({ figure, unit }: Shown): string =>
  unit === '€' ? `${unit}${figure}` : unit ? `${figure} ${unit}` : figure;

function cell(key: string, value: unknown, system: UnitSystem): string {
  if (typeof value === 'number') return joined(showField(key, value, system));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'string') return '';
  // A moment of a forecast: its day and hour, without the seconds nobody plans by.
  return /^\d{4}-\d\d-\d\dT/.test(value)
    ? value.replace('T', ' ').replace(/:\d\d\.000Z$/, ' UTC')
    : value;
}

/** The fields of an answer, the headline first, ready to be shown. What is only for drawing is left out. */
export function resultRows(
  answer: Answer<object>,
  system: UnitSystem,
  headline?: string,
): ResultRow[] {
  if (!answer.ok) return [];
  const { ok: _ok, working: _working, ...fields } = answer;
  const rows = rowsOf(fields, system);
  return [...rows.filter((r) => r.key === headline), ...rows.filter((r) => r.key !== headline)];
}

function rowsOf(fields: object, system: UnitSystem): ResultRow[] {
  return Object.entries(fields as Record<string, unknown>).flatMap(([key, value]): ResultRow[] => {
    const { label } = fieldName(key);
    if (key === 'curve') return [];
    if (typeof value === 'number')
      return [{ kind: 'figure', key, label, shown: showField(key, value, system) }];
    if (value === null) return [{ kind: 'words', key, label, text: 'none' }];
    if (!Array.isArray(value))
      return [{ kind: 'words', key, label, text: cell(key, value, system) }];
    const first: unknown = value[0];
    if (typeof first !== 'object' || first === null)
      return [
        { kind: 'words', key, label, text: value.length ? value.map(String).join(', ') : 'none' },
      ];
    const keys = [...new Set(value.flatMap((row) => Object.keys(row as object)))];
    const rows = value.map((row) =>
      keys.map((k) => cell(k, (row as Record<string, unknown>)[k], system)),
    );
    return [{ kind: 'table', key, label, head: keys.map((k) => fieldName(k).label), rows }];
  });
}
