import { t } from '../text/text';
import { shortened } from '../calc/shortened';
import {
  quantity,
  shownUnit,
  toBase,
  type QuantityId,
  type Unit,
  type UnitSystem,
} from './quantities';

export type Parsed = { ok: true; value: number } | { ok: false; message: string };

const NUMBER = String.raw`[-+−]?\d+(?:[.,]\d+)?`;
const FRACTION = String.raw`\d+\s*\/\s*\d+`;
/** A unit is letters and signs; it may continue after a slash, and end in a power: g/ml, mm2, ft²/gal. */
const UNIT = String.raw`[^\d\s.,+\-−/](?:[^\d.,+\-−/]|\/(?=[a-z])|(?<=[mtn])[23](?=\s*(?:$|\/)))*`;
/** A term is "1 1/2 in", "3/8", "38mm", "-5 °C": a mixed, plain or fractional number, then an optional unit. */
const TERM = new RegExp(
  String.raw`^\s*(?:(?<mixed>${NUMBER})[\s-]+(?<part>${FRACTION})|(?<fraction>[-+−]?${FRACTION})|(?<plain>${NUMBER}))\s*(?<unit>${UNIT})?`,
);

const VULGAR: Record<string, string> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};

const plainNumber = (text: string): number => Number(text.replace(',', '.').replace('−', '-'));

function fractionOf(text: string): number {
  const [top = '0', bottom = '1'] = text.split('/');
  return plainNumber(top.trim()) / plainNumber(bottom.trim());
}

function magnitude(groups: Record<string, string | undefined>): number {
  if (groups.mixed !== undefined && groups.part !== undefined) {
    const whole = plainNumber(groups.mixed);
    const part = fractionOf(groups.part);
    return groups.mixed.startsWith('-') || groups.mixed.startsWith('−')
      ? whole - part
      : whole + part;
  }
  if (groups.fraction !== undefined) return fractionOf(groups.fraction);
  return plainNumber(groups.plain ?? '');
}

function findUnit(units: Unit[], typed: string): Unit | undefined {
  const name = typed.trim().toLowerCase();
  return units.find((u) => u.symbol.toLowerCase() === name || u.names.includes(name));
}

/**
 * Parses what a person typed for a quantity into its base unit (mm, °C, g, ml, min, µm, %). Accepts decimals with point
 * or comma, fractions ("1 1/2 in", `3/8"`), joined terms ("2ft 3in", "2 h 15 min"), and clock-like durations ("2:15").
 * A bare number is in `unit`, by default the shown unit. Errors say what was not understood and how to write it.
 */
export function parseQuantity(
  text: string,
  id: QuantityId,
  { system, unit }: { system: UnitSystem; unit?: string },
): Parsed {
  const q = quantity(id);
  const bare = q.units.find((u) => u.symbol === unit) ?? shownUnit(id, system);
  let rest = text
    .trim()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => VULGAR[c] ?? c)
    .trim();
  if (rest === '')
    return {
      ok: false,
      message: bare.symbol
        ? t('Type a number in {unit}.', { unit: bare.symbol })
        : t('Type a number in figures.'),
    };
  const clock = id === 'time' ? /^(\d+):([0-5]\d)$/.exec(rest) : null;
  if (clock) return { ok: true, value: Number(clock[1]) * 60 + Number(clock[2]) };
  let total = 0;
  let terms = 0;
  let last: Unit | undefined;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match?.groups) return notUnderstood(rest, bare);
    const typed = match.groups.unit;
    const found = typed === undefined ? undefined : findUnit(q.units, typed);
    if (typed !== undefined && !found) {
      const allowed = q.units
        .map((u) => u.symbol)
        .filter(Boolean)
        .join(', ');
      return {
        ok: false,
        message: allowed
          ? t('“{typed}” is not a unit here. Use {allowed}.', { typed: shortened(typed), allowed })
          : t('“{typed}” is not a unit here. Use a plain number.', { typed: shortened(typed) }),
      };
    }
    // "2 h 15" continues in the next smaller unit; a second bare number elsewhere is an error.
    const use: Unit | undefined = found ?? (terms === 0 ? bare : smaller(q.units, last));
    if (
      !use ||
      (terms > 0 && (use.factor >= (last?.factor ?? Infinity) || use.offset !== undefined))
    ) {
      return notUnderstood(text, bare);
    }
    const x = magnitude(match.groups);
    if (!Number.isFinite(x)) return notUnderstood(text, bare);
    total += toBase(x, use);
    last = use;
    terms += 1;
    rest = rest.slice(match[0].length).trim();
  }
  return { ok: true, value: total };
}

const smaller = (units: Unit[], than: Unit | undefined): Unit | undefined =>
  than?.symbol === 'h' ? units.find((u) => u.symbol === 'min') : undefined;

function notUnderstood(text: string, bare: Unit): Parsed {
  return {
    ok: false,
    message: bare.symbol
      ? t('“{typed}” is not a number. Write it like 38 {unit} or 1 1/2.', {
          typed: shortened(text),
          unit: bare.symbol,
        })
      : t('“{typed}” is not a number. Write it like 38 or 1 1/2.', { typed: shortened(text) }),
  };
}
