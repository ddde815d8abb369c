import { IntlMessageFormat } from 'intl-messageformat';
import { say, show } from '../units/format';
import { quantity, type UnitSystem } from '../units/quantities';
import {
  isMessage,
  isQuantified,
  type Message,
  type MessageValue,
  type Quantified,
} from './message';

export interface Voice {
  units: UnitSystem;
  /** Spoken aloud: units by their names, not by their signs. */
  spoken?: boolean;
}

/** Parsed texts, each once: a text is written in the code or in a saved plan, and never changes. */
const known = new Map<string, IntlMessageFormat>();
function formatOf(text: string): IntlMessageFormat {
  let found = known.get(text);
  if (!found)
    known.set(text, (found = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true })));
  return found;
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

function quantified({ of, value }: Quantified, { units, spoken }: Voice): string {
  if (!spoken) return say(value, of, units);
  const { figure, unit } = show(value, of, units);
  const known = quantity(of).units.find((u) => u.symbol === unit);
  const name = SPOKEN[unit] ?? known?.names.at(-1) ?? unit;
  return name ? `${figure} ${name}` : figure;
}

function valueText(value: MessageValue, voice: Voice): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if (Array.isArray(value)) return value.map((v: MessageValue) => valueText(v, voice)).join(', ');
  if (isQuantified(value as MessageValue)) return quantified(value as Quantified, voice);
  return isMessage(value as MessageValue) ? wordIn(value as Message, voice) : '';
}

/** Words a message for a reader or a voice. */
export function wordIn({ text, values }: Message, voice: Voice): string {
  if (!text.includes('{')) return text;
  const worded = Object.fromEntries(
    Object.entries(values).map(([key, value]) => [key, valueText(value, voice)]),
  );
  return String(formatOf(text).format(worded));
}

/** Words a message in the reader’s units. */
export const word = (message: Message, units: UnitSystem = 'metric'): string =>
  wordIn(message, { units });

/** The same with its first letter large, to begin a sentence. */
export const sentence = (message: Message, units: UnitSystem = 'metric'): string => {
  const text = word(message, units);
  return text.charAt(0).toUpperCase() + text.slice(1);
};
