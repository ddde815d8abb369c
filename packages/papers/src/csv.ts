import Papa from 'papaparse';

/** What a spreadsheet would run, behind blanks and over several lines as well, narrow or wide. */
const FORMULA = /^\s*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]/;

/** Rows as CSV (RFC 4180) under their heads, where there are none too; nothing in it is run as a formula by a spreadsheet. */
export const csvOf = <T extends string>(
  fields: readonly T[],
  rows: Record<T, string | number>[],
): string =>
  Papa.unparse({ fields: [...fields], data: rows }, { newline: '\r\n', escapeFormulae: FORMULA });
