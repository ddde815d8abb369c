import { celsius, minutes } from '@kelmot/core/message/message';
import { shortened, m, MINUTE, type Message, type Plan, t } from '@kelmot/core';
import { reduceLog, type LogReading } from '@kelmot/core/cure/reduceLog';
import type { CureReadings } from '@kelmot/core/run/runPlan';
import type { Recorded } from './done';
import { MOST_ROWS, WARMER_NAMES, type LogRow, type Reading, type ReadingValues } from './records';

/** The place of cure records, instead of a step: they belong to the repair, whatever its current step. */
export const CURE = 'cure';

const KINDS = ['temperatures', 'heat', 'nail', 'shore'] as const;
/** Kinds of readings about temperature or hardness: the repair's clocks depend on them. */
export const OF_CLOCKS = [...KINDS, 'ambient'] as const;
export type CureValues = Extract<ReadingValues, { kind: (typeof KINDS)[number] }>;

export const isOfCure = (values: ReadingValues): values is CureValues =>
  KINDS.some((kind) => kind === values.kind);

/** The colder of two spots: it cures last. */
export const colderSpot = ({ tempC, otherC = tempC }: LogRow): number => Math.min(tempC, otherC);

/** The moment of a log's row, epoch ms. */
const momentOf = (from: string, { atMin }: LogRow): number => Date.parse(from) + atMin * MINUTE;

/** Largest error of a reduced log, °C, unless too many rows remain. */
const WITHIN_C = 0.1;

/** A log to record, from readings in epoch ms and °C of one or two spots, without redundant rows; null if empty. */
export function logOf(reads: readonly LogReading[], instrument?: string): CureValues | null {
  const [first] = reads;
  if (!first) return null;
  let [within, kept] = [WITHIN_C, reduceLog(reads, WITHIN_C)];
  for (; kept.length > MOST_ROWS; within *= 2) kept = reduceLog(kept, within);
  const rows = kept.map(({ at, values: [tempC = 0, otherC] }): LogRow => ({
    atMin: (at - first.at) / MINUTE,
    tempC,
    ...(otherC === undefined ? {} : { otherC }),
  }));
  const from = new Date(first.at).toISOString();
  return { kind: 'temperatures', from, rows, ...(instrument ? { instrument } : {}) };
}

/** Why a cure record may not be made at a moment: the field and the remedy; null if it may. */
export function wrongOfCure(
  values: CureValues,
  at: string,
  plan: Pick<Plan, 'card'>,
): { path: string; message: string } | null {
  if (values.kind === 'shore' && !plan.card.service.hardness)
    return {
      path: 'values.kind',
      message: t('{code} gives no hardness; press a fingernail into the sample', {
        code: shortened(plan.card.code),
      }),
    };
  if (values.kind !== 'temperatures') return null;
  const last = values.rows.at(-1);
  if (!last || momentOf(values.from, last) <= Date.parse(at) + MINUTE) return null;
  return {
    path: `values.rows.${values.rows.length - 1}.atMin`,
    message: t('must not be later than the record; check the logger’s clock and time zone'),
  };
}

/** The text of a log: temperatures and duration. */
function logSaid(rows: readonly LogRow[]): Message {
  const temps = rows.map(colderSpot);
  const [low, high] = [Math.min(...temps), Math.max(...temps)];
  const over = (rows.at(-1)?.atMin ?? 0) - (rows[0]?.atMin ?? 0);
  return rows.length === 1
    ? m('{low}.', { low: celsius(low) })
    : m('{low} to {high} over {over}, {n} readings.', {
        low: celsius(low),
        high: celsius(high),
        over: minutes(over),
        n: rows.length,
      });
}

/** The text and verdict of a cure record, the same on device and server. A soft sample has not passed. */
export function judgeCure(values: CureValues, plan: Plan): { passed: boolean; say: Message } {
  switch (values.kind) {
    case 'temperatures':
      return { passed: true, say: logSaid(values.rows) };
    case 'heat':
      return {
        passed: true,
        say: m('{on, select, yes {Switched on.} other {Switched off.}}', {
          on: values.on ? 'yes' : 'no',
        }),
      };
    case 'nail':
      return {
        passed: !values.marks,
        say: values.marks
          ? m('A fingernail leaves a mark: soft.')
          : m('A fingernail leaves no mark.'),
      };
    case 'shore': {
      const least = plan.card.service.hardness?.least ?? Infinity;
      const given = { got: values.value, least };
      return values.value >= least
        ? { passed: true, say: m('{got}; it needs {least}.', given) }
        : { passed: false, say: m('Soft: {got}; it needs {least}.', given) };
    }
  }
}

/** The title of a cure record in the story. */
export const titleOfCure = (values: CureValues): Message => {
  switch (values.kind) {
    case 'temperatures':
      return m('Temperature of the repair');
    case 'heat':
      return m(WARMER_NAMES[values.by]);
    default:
      return m('Kept sample');
  }
};

type Temp = CureReadings['temps'][number];
type SeenReading = Pick<Reading, 'values' | 'takenAt' | 'passed'>;
/** The part of a repair that its cure depends on. */
export interface CureRecord {
  plan: Recorded['plan'];
  readings: readonly SeenReading[];
}

/** The temperatures of one reading; null if it has none. A gate reading counts if nothing heats the repair after it. */
function tempsIn({ values, takenAt }: SeenReading, isHeld: boolean): Temp[] {
  if (values.kind === 'temperatures')
    return values.rows.map((row) => ({ at: momentOf(values.from, row), tempC: colderSpot(row) }));
  if (values.kind === 'ambient' && !isHeld)
    return [{ at: Date.parse(takenAt), tempC: values.surfaceC }];
  return [];
}

/** When it was heated by anything: one heater off leaves the others on. */
function warmedBy(
  marks: readonly { at: number; by: string; on: boolean }[],
): CureReadings['heat'][number][] {
  const on = new Set<string>();
  return marks.map((mark) => {
    if (mark.on) on.add(mark.by);
    else on.delete(mark.by);
    return { at: mark.at, on: on.size > 0 };
  });
}

/** All cure readings of a repair. A later log replaces an earlier one for the same time. */
export function cureReadings({ plan, readings }: CureRecord): CureReadings {
  const isHeld = plan?.body.heldC != null;
  const temps = readings.reduce<Temp[]>((known, reading) => {
    const own = tempsIn(reading, isHeld);
    const [from, to] = [own[0]?.at ?? Infinity, own.at(-1)?.at ?? -Infinity];
    return [...known.filter(({ at }) => at < from || at > to), ...own];
  }, []);
  const inTime = <T extends { at: number }>(list: T[]): T[] => list.sort((p, q) => p.at - q.at);
  const at = ({ takenAt }: SeenReading): number => Date.parse(takenAt);
  return {
    temps: inTime(temps),
    heat: warmedBy(
      inTime(
        readings.flatMap((r) => (r.values.kind === 'heat' ? [{ at: at(r), ...r.values }] : [])),
      ),
    ),
    samples: inTime(
      readings.flatMap((r) =>
        r.values.kind === 'nail' || r.values.kind === 'shore'
          ? [{ at: at(r), by: r.values.kind, hard: r.passed }]
          : [],
      ),
    ),
  };
}
