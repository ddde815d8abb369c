import { quantity, shownUnit, type QuantityId, type Unit, type UnitSystem, t } from '@kelmot/core';
import Papa from 'papaparse';

/** More rows than any instrument keeps. */
export const MOST_LINES = 50_000;
/** What parts the cells, where it is no comma: then a comma is the point of a figure. */
const DELIMITERS = [';', '\t'];

/** A cell as a number, with a point or a comma; null where it is none. */
export const numberOf = (cell: string): number | null => {
  const text = cell.trim().replace(',', '.').replace('\u2212', '-');
  return /^[-+]?\d+(\.\d+)?$/.test(text) ? Number(text) : null;
};

/** The rows of a table that an instrument saved as CSV, blank ones left out; refuses more than any keeps. */
export function rowsIn(text: string): { ok: true; rows: string[][] } | { ok: false; say: string } {
  const delimiter = DELIMITERS.find((d) => text.includes(d)) ?? ',';
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy' });
  return data.length > MOST_LINES
    ? {
        ok: false,
        say: t('This has {data} rows; {mostLines} is the most.', {
          data: data.length,
          mostLines: MOST_LINES,
        }),
      }
    : { ok: true, rows: data };
}

/** The unit of a quantity that a head says; as the reader has it where it says none. */
export function unitIn(head: readonly string[], id: QuantityId, units: UnitSystem): Unit {
  const said = quantity(id).units.find(({ symbol }) =>
    head.some((cell) => cell.split(/[\s,()[\]/]+/).some((word) => word === symbol)),
  );
  return said ?? shownUnit(id, units);
}
