import { z } from 'zod';
import { QUANTITY_IDS, type QuantityId } from '../units/quantities';

/** A number with its quantity, in the base unit: shown in the reader's units. */
export interface Quantified {
  of: QuantityId;
  value: number;
}
/** A value in a message: text, count, measured quantity, nested message, or a list of them. */
export type MessageValue = string | number | Quantified | Message | readonly MessageValue[];

/**
 * A sentence as it leaves core: its text in ICU MessageFormat with typed values. It is worded only where it is shown,
 * so that the same message serves metric and US units, screen, paper and speech. Nothing parses it.
 */
export interface Message {
  text: string;
  values: Readonly<Record<string, MessageValue>>;
}

const NONE = {};

/** A message. `{n, plural, one {# pass} other {# passes}}` counts; `{depth}` is shown by its quantity. */
export const m = (text: string, values: Message['values'] = NONE): Message => ({ text, values });

/** A measured value for a message, in the base unit of its quantity. */
export const q = (value: number, of: QuantityId): Quantified => ({ of, value });
export const mm = (value: number): Quantified => q(value, 'length');
export const celsius = (value: number): Quantified => q(value, 'temperature');
export const minutes = (value: number): Quantified => q(value, 'time');
export const ml = (value: number): Quantified => q(value, 'volume');
export const grams = (value: number): Quantified => q(value, 'mass');

export const isQuantified = (value: MessageValue): value is Quantified =>
  typeof value === 'object' && 'of' in value;
export const isMessage = (value: MessageValue): value is Message =>
  typeof value === 'object' && 'text' in value;

/** Several sentences as one message. */
export const joined = (parts: readonly (Message | null | false)[]): Message => {
  const kept = parts.filter((p): p is Message => p !== null && p !== false);
  return kept.length === 1
    ? (kept[0] as Message)
    : m(
        kept.map((_, i) => `{s${i}}`).join(' '),
        Object.fromEntries(kept.map((part, i) => [`s${i}`, part])),
      );
};

const QuantifiedSchema = z.strictObject({ of: z.enum(QUANTITY_IDS), value: z.number() });
const Value: z.ZodType<MessageValue> = z
  .lazy(() => z.union([z.string(), z.number(), QuantifiedSchema, MessageSchema, z.array(Value)]))
  .meta({ id: 'MessageValue' });
/** A message as it is saved and sent. */
export const MessageSchema: z.ZodType<Message> = z
  .strictObject({ text: z.string(), values: z.record(z.string(), Value) })
  .meta({ id: 'Message' });
