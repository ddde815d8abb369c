import {
  shortened,
  fromBase,
  shownUnit,
  toBase,
  type QuantityId,
  type UnitSystem,
  t,
} from '@kelmot/core';
import { numberOf, rowsIn, unitIn } from './table';

export type ReadList = { ok: true; values: number[] } | { ok: false; say: string };

/** Most readings that one hold takes. */
const MOST = 100;

/**
 * Readings of one thing that an instrument saved as CSV, in the unit that the reader has: one a row, in its last column that
 * holds figures, under a head that may say their unit. Says at which row there is none.
 */
export function readList(text: string, id: QuantityId, units: UnitSystem): ReadList {
  const table = rowsIn(text);
  if (!table.ok) return table;
  const [first = []] = table.rows;
  const hasHead = first.every((cell) => numberOf(cell) === null);
  const body = hasHead ? table.rows.slice(1) : table.rows;
  const [sample = []] = body;
  const column = sample.reduce((at, cell, i) => (numberOf(cell) === null ? at : i), -1);
  if (column < 0) return { ok: false, say: t('This file contains no readings.') };
  if (body.length > MOST)
    return {
      ok: false,
      say: t('This has {body} readings; {most} is the most at once.', {
        body: body.length,
        most: MOST,
      }),
    };
  const [unit, shown] = [unitIn(hasHead ? first : [], id, units), shownUnit(id, units)];
  const values: number[] = [];
  for (const [i, cells] of body.entries()) {
    const cell = cells[column] ?? '';
    const n = numberOf(cell);
    if (n === null)
      return {
        ok: false,
        say: t('Row {row}: “{cell}” is not a reading.', {
          row: i + 1 + Number(hasHead),
          cell: shortened(cell),
        }),
      };
    // What was read has four digits at the most: more would come of the change of unit alone.
    values.push(Number(fromBase(toBase(n, unit), shown).toPrecision(5)));
  }
  return { ok: true, values };
}
