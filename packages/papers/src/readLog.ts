import { logOf, SURFACE_C, type CureValues } from '@kelmot/contract';
import { clockText, shortened, momentOf, shownIn, toBase, t } from '@kelmot/core';
import { MINUTE, type UnitSystem, type Zone } from '@kelmot/core';
import type { LogReading } from '@kelmot/core/cure/reduceLog';
import { numberOf, rowsIn, unitIn } from './table';

/** What a log is read by: the clock and the units of the site, and when the repair was mixed, epoch ms. */
export interface LogAsk {
  zone: Zone;
  units: UnitSystem;
  mixedAt: number;
  now: number;
}
export type ReadLog = { ok: true; values: CureValues; rows: number } | { ok: false; say: string };

/** What was logged longer before the mix says nothing of its cure, ms. */
const BEFORE = 120 * MINUTE;
const DAY = 1440 * MINUTE;

/** Year first or day first, with or without seconds; by the clocks of the site where no zone is said. */
const STAMPS = [
  /^(?<y>\d{4})-(?<mo>\d\d?)-(?<d>\d\d?)[T ](?<h>\d\d?):(?<mi>\d\d)(?::(?<s>\d\d)(?:\.\d+)?)?$/,
  /^(?<d>\d\d?)\.(?<mo>\d\d?)\.(?<y>\d{4}),? (?<h>\d\d?):(?<mi>\d\d)(?::(?<s>\d\d))?$/,
];
const ZONED = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/;
const CLOCK = /^(?<h>\d\d?):(?<mi>\d\d)(?::(?<s>\d\d))?$/;

/** The moment of a row, epoch ms: a date with its clock, a clock alone after the row before, or minutes from the mix. */
function timeOf(cell: string, before: number | null, { zone, mixedAt }: LogAsk): number | null {
  const text = cell.trim();
  const minutes = numberOf(text);
  if (minutes !== null) return mixedAt + minutes * MINUTE;
  if (ZONED.test(text)) return Date.parse(text.replace(' ', 'T'));
  const part = (groups: Record<string, string | undefined>, key: string) =>
    Number(groups[key] ?? 0);
  for (const stamp of STAMPS) {
    const g = stamp.exec(text)?.groups;
    if (!g) continue;
    const [y, mo, d] = [part(g, 'y'), part(g, 'mo'), part(g, 'd')];
    const shown = Date.UTC(y, mo - 1, d, part(g, 'h'), part(g, 'mi'), part(g, 's'));
    const read = new Date(shown);
    const real = read.getUTCMonth() === mo - 1 && read.getUTCDate() === d && part(g, 'h') < 24;
    return real ? momentOf(shown, zone) : null;
  }
  const g = CLOCK.exec(text)?.groups;
  if (!g || part(g, 'h') > 23 || part(g, 'mi') > 59) return null;
  const after = before ?? mixedAt - BEFORE;
  const midnight = Math.floor(shownIn(after, zone).getTime() / DAY) * DAY;
  const shown = midnight + (part(g, 'h') * 60 + part(g, 'mi')) * MINUTE + part(g, 's') * 1000;
  const at = momentOf(shown, zone);
  return at > after || before === null ? at : momentOf(shown + DAY, zone);
}

/**
 * Reads a log of temperatures that was saved as CSV: its time first, then one spot or two. Says at which row it is none.
 * What lies longer before the mix is left out, and what says nothing more than its neighbours.
 */
export function readLog(text: string, ask: LogAsk): ReadLog {
  const table = rowsIn(text);
  if (!table.ok) return table;
  const data = table.rows;
  const no = (say: string): ReadLog => ({ ok: false, say });
  const [first = []] = data;
  const hasHead = first.slice(1).every((cell) => numberOf(cell) === null);
  const unit = unitIn(hasHead ? first : [], 'temperature', ask.units);
  const reads: LogReading[] = [];
  for (const [i, cells] of data.entries()) {
    if (i === 0 && hasHead) continue;
    const row = `Row ${i + 1}`;
    const [time = '', ...rest] = cells;
    const before = reads.at(-1)?.at ?? null;
    const at = timeOf(time, before, ask);
    if (at === null)
      return no(
        t(
          '{row}: “{time}” is not a time; write 2026-11-24 14:05, 14:05, or minutes since mixing.',
          { row, time: shortened(time) },
        ),
      );
    const values = rest.slice(0, 2).flatMap((cell) => {
      const n = numberOf(cell);
      return n === null ? [] : [toBase(n, unit)];
    });
    const bad = rest.slice(0, 2).find((cell) => cell.trim() !== '' && numberOf(cell) === null);
    if (bad !== undefined || values.length === 0)
      return no(
        t('{row}: “{bad}” is not a temperature; write degrees such as 17.5.', {
          row,
          bad: shortened(bad ?? ''),
        }),
      );
    if (values.some((v) => v < SURFACE_C.least || v > SURFACE_C.most))
      return no(
        t('{row}: must be {least} to {most} °C; is it in another unit?', {
          row,
          least: SURFACE_C.least,
          most: SURFACE_C.most,
        }),
      );
    if (before !== null && at <= before)
      return no(t('{row} must be later than the row before.', { row }));
    if (at > ask.now)
      return no(t('{row} is later than now: check the logger’s clock and time zone.', { row }));
    const spots = reads[0]?.values.length ?? values.length;
    if (spots !== values.length)
      return no(
        t('{row} has {values} temperatures; the rows before it have {spots}.', {
          row,
          values: values.length,
          spots,
        }),
      );
    reads.push({ at, values });
  }
  const since = reads.filter(({ at }) => at >= ask.mixedAt - BEFORE);
  const values = logOf(since);
  if (reads.length === 0) return no(t('This file contains no rows.'));
  if (!values)
    return no(
      t('All readings are from before mixing at {mixedAt}.', {
        mixedAt: clockText(ask.mixedAt, ask.zone),
      }),
    );
  return { ok: true, values, rows: since.length };
}
