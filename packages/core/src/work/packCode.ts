/** What the code on a pack says about its lot. */
export interface PackCode {
  lot: string | null;
  /** The expiry date, YYYY-MM-DD; null if the code does not say. */
  expiresOn: string | null;
}

/** Numbered parts of a code: the lot, and its last day (best before, use by). */
const LOT = '10';
const DAYS = ['17', '15'];
/** Fixed lengths of parts, by number; other parts end at their separator. */
const FIXED: Readonly<Record<string, number>> = {
  ...{ '00': 18, '01': 14, '02': 14 },
  ...{ '11': 6, '12': 6, '13': 6, '15': 6, '16': 6, '17': 6, '20': 2 },
};
const OPEN = [
  '10',
  '21',
  '22',
  '30',
  '37',
  '90',
  '91',
  '92',
  '93',
  '94',
  '95',
  '96',
  '97',
  '98',
  '99',
];
const SEPARATOR = '\u001d';
/** The prefix by which a reader names the kind of code. */
const SYMBOLOGY = /^\](C1|d2|Q3|e0)/;
/** Longer than any lot. */
const MOST_LOT = 60;

/** YYMMDD as a date; day zero is the last of the month. Null for an impossible date. */
function dayOf(text: string): string | null {
  const [, yy = '', mo = '', d = ''] = /^(\d\d)(\d\d)(\d\d)$/.exec(text) ?? [];
  const [year, month] = [2000 + Number(yy), Number(mo)];
  const last = new Date(Date.UTC(year, month, 0)).getUTCDate();
  const day = Number(d) === 0 ? last : Number(d);
  if (yy === '' || month < 1 || month > 12 || day > last) return null;
  return `${year}-${mo}-${String(day).padStart(2, '0')}`;
}

/** A code with its numbers in brackets, as printed below the bars. */
const inBrackets = (text: string): Map<string, string> =>
  new Map(
    [...text.matchAll(/\((\d{2,4})\)([^(]*)/g)].map(([, id = '', is = '']) => [id, is.trim()]),
  );

/** A web address with the parts in its path and query. */
function inAddress(text: string): Map<string, string> {
  const parts = new Map<string, string>();
  if (!URL.canParse(text)) return parts;
  const { pathname, searchParams } = new URL(text);
  const path = pathname.split('/').filter(Boolean).map(decodeURIComponent);
  for (const [i, id] of path.entries())
    if (/^\d\d$/.test(id) && path[i + 1] !== undefined) parts.set(id, path[i + 1] as string);
  searchParams.forEach((is, id) => parts.set(id, is));
  return parts;
}

/** Parts one after another, without brackets: empty if a number is unknown. */
function inRow(text: string): Map<string, string> {
  const parts = new Map<string, string>();
  for (let rest = text; rest.length > 0;) {
    const id = rest.slice(0, 2);
    const length = FIXED[id];
    const end = rest.indexOf(SEPARATOR);
    const to = length === undefined ? (end < 0 ? rest.length : end) : 2 + length;
    if (length === undefined && !OPEN.includes(id)) return new Map();
    parts.set(id, rest.slice(2, to));
    rest = rest.slice(to);
    if (rest.startsWith(SEPARATOR)) rest = rest.slice(1);
  }
  return parts;
}

/**
 * Reads the code on a pack: numbered parts in a row, in brackets or in a web address (the open rules of trade numbers),
 * or a plain text, which is the lot. Never throws; null for missing parts.
 */
export function readPackCode(code: string): PackCode {
  const text = code
    .trim()
    .replace(SYMBOLOGY, '')
    .replace(/^\u001d/, '');
  const isAddress = /^https?:\/\//i.test(text);
  const isRow = /^01\d{14}/.test(text) || text.includes(SEPARATOR);
  const parts = isAddress
    ? inAddress(text)
    : /^\(\d{2,4}\)/.test(text)
      ? inBrackets(text)
      : isRow
        ? inRow(text)
        : null;
  const lot = parts ? (parts.get(LOT) ?? null) : text;
  const day = DAYS.map((id) => parts?.get(id)).find((is) => is !== undefined);
  return {
    lot: lot !== null && lot !== '' && lot.length <= MOST_LOT ? lot : null,
    expiresOn: day === undefined ? null : dayOf(day),
  };
}
