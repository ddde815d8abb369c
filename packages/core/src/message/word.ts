import { filled } from '../text/text';
import { formatFiner, figureAndUnit } from '../units/format';
import { quantity, type QuantityId, type UnitSystem } from '../units/quantities';
import {
  isMessage,
  isQuantified,
  type Message,
  type MessageValue,
  type Quantified,
} from './message';

export interface Voice {
  units: UnitSystem;
  /** For speech: units by their names, not their signs. */
  spoken?: boolean;
}

const SPOKEN: Record<string, string> = {
  '°C': 'degrees Celsius',
  '°F': 'degrees Fahrenheit',
  g: 'grams',
  kg: 'kilograms',
  mm: 'millimetres',
  ml: 'millilitres',
  l: 'litres',
  µm: 'microns',
  '%': 'percent',
};

/** Two values with a smaller relative difference are equal: rounding noise. */
const SAME = 1e-7;
/** Most extra digits to show two values as different. */
const MOST_FINER = 6;

/** The quantities in a value or list; a nested message handles its own. */
const measuredIn = (value: MessageValue): Quantified[] =>
  Array.isArray(value)
    ? value.flatMap(measuredIn)
    : isQuantified(value)
      ? [value as Quantified]
      : [];

/**
 * Extra digits needed to show the values of one sentence as different: “152 mm, not 152 mm” says nothing. By quantity;
 * 0 if they differ already, or are equal.
 */
function finerOf(values: readonly MessageValue[], units: UnitSystem): Map<QuantityId, number> {
  const finer = new Map<QuantityId, number>();
  const all = values.flatMap(measuredIn);
  all.forEach((one, i) => {
    for (const other of all.slice(i + 1)) {
      if (one.of !== other.of) continue;
      const size = Math.max(Math.abs(one.value), Math.abs(other.value));
      if (Math.abs(one.value - other.value) <= size * SAME) continue;
      let n = finer.get(one.of) ?? 0;
      const alike = () =>
        formatFiner(one.value, one.of, { system: units, finer: n }) ===
        formatFiner(other.value, one.of, { system: units, finer: n });
      while (n < MOST_FINER && alike()) n += 1;
      if (!alike()) finer.set(one.of, n);
    }
  });
  return finer;
}

const SPOKEN_TIME: Record<string, string> = { d: 'day', h: 'hour', min: 'minute', s: 'second' };

/** A duration with unit names: "2 h 1 min" is spoken as two hours and one minute. */
const spokenTime = (text: string): string =>
  text.trim().replace(/(\d[\d.]*) (d|h|min|s)\b/g, (_, n: string, unit: string) => {
    const name = SPOKEN_TIME[unit] ?? unit;
    return `${n} ${name}${n === '1' ? '' : 's'}`;
  });

function quantified({ of, value }: Quantified, { units, spoken }: Voice, finer = 0): string {
  if (!spoken) return formatFiner(value, of, { system: units, finer });
  const { figure, unit } = figureAndUnit(value, of, { system: units, finer });
  if (of === 'time') return spokenTime(`${figure} ${unit}`);
  const known = quantity(of).units.find((u) => u.symbol === unit);
  const name = SPOKEN[unit] ?? known?.names.at(-1) ?? unit;
  return name ? `${figure} ${name}` : figure;
}

function valueText(
  value: MessageValue,
  voice: Voice,
  finer: ReadonlyMap<QuantityId, number>,
): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if (Array.isArray(value))
    return value.map((v: MessageValue) => valueText(v, voice, finer)).join(', ');
  if (isQuantified(value as MessageValue))
    return quantified(value as Quantified, voice, finer.get((value as Quantified).of));
  return isMessage(value as MessageValue) ? wordIn(value as Message, voice) : '';
}

/** Two values of one quantity side by side, such as a figure and its limit: shown alike only if they are equal. */
export function sayApart(
  of: QuantityId,
  { a, b, units }: { a: number; b: number; units: UnitSystem },
): [string, string] {
  const values = [
    { of, value: a },
    { of, value: b },
  ];
  const show = { system: units, finer: finerOf(values, units).get(of) ?? 0 };
  return [formatFiner(a, of, show), formatFiner(b, of, show)];
}

/** Words a message for reading or speech. */
export function wordIn({ text, values }: Message, voice: Voice): string {
  if (!text.includes('{')) return text;
  const finer = finerOf(Object.values(values), voice.units);
  const worded = Object.fromEntries(
    Object.entries(values).map(([key, value]) => [key, valueText(value, voice, finer)]),
  );
  return filled(text, worded);
}

/** Words a message in the reader’s units. */
export const word = (message: Message, units: UnitSystem = 'metric'): string =>
  wordIn(message, { units });

/** Words a message for speech: units by their names. */
export const spoken = (message: Message, units: UnitSystem = 'metric'): string =>
  wordIn(message, { units, spoken: true });

/** The same with a capital first letter, to begin a sentence. */
export const sentence = (message: Message, units: UnitSystem = 'metric'): string => {
  const text = word(message, units);
  return text.charAt(0).toUpperCase() + text.slice(1);
};
