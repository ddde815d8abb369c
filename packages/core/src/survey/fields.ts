import { z } from 'zod';
import type { SiteSettings } from '../site/site';
import type { QuantityId } from '../units/quantities';

interface Base {
  label: string;
  /** Why it is asked, in one short sentence: shown at the field. */
  why: string;
  /** The usual answer, as typed: filled in at the start. */
  usual?: string;
  /** Its assumed value until it is known, as typed with its unit; never filled in. */
  typical?: string;
  /** Asked only while another field of its group has one of these values; otherwise null. */
  when?: { key: string; in: readonly string[] };
}
export interface Option {
  value: string;
  label: string;
}
interface Amount extends Base {
  kind: 'quantity';
  quantity: QuantityId;
  min: number;
  max: number;
  step: number;
  /** A number of things, such as bolts. */
  whole?: true;

  /** Its usual value by another answer: filled in until somebody types one. */
  follows?: Follows;
}
/** How a figure follows the answer at another path, with the site’s own figures if known; as typed, with its unit. */
export interface Follows {
  path: string;
  usual: (answer: string, site: SiteSettings | null) => string | undefined;
}
export interface QuantityField extends Amount {
  schema: z.ZodType<number>;
}
/** Not always asked or known: its value may be null. */
export interface WhenField extends Amount {
  schema: z.ZodType<number | null>;
  /** May be left empty. */
  optional?: true;
}
export interface ChoiceField<V extends string = string> extends Base {
  kind: 'choice';
  options: Option[];
  schema: z.ZodType<V>;
}
export interface FlagField extends Base {
  kind: 'flag';
  schema: z.ZodType<boolean>;
}
export type Field = QuantityField | WhenField | ChoiceField | FlagField;

type AmountSpec = Omit<Amount, 'kind' | 'quantity'>;

/** A number with a unit. Range and step in the quantity's base unit; the only place where they are written. */
export function amount(quantity: QuantityId, spec: AmountSpec): QuantityField {
  return { kind: 'quantity', quantity, ...spec, schema: z.number().min(spec.min).max(spec.max) };
}

/** A number of things: whole. */
export const count = (spec: AmountSpec): QuantityField => ({
  ...amount('count', spec),
  whole: true,
  schema: z.int().min(spec.min).max(spec.max),
});

/** The same, asked only while another field of its group has one of the given values; otherwise null. */
export function amountWhen(
  quantity: QuantityId,
  spec: AmountSpec & { when: NonNullable<Base['when']> },
): WhenField {
  return {
    kind: 'quantity',
    quantity,
    ...spec,
    schema: z.number().min(spec.min).max(spec.max).nullable().default(null),
  };
}

/** The same, always asked, and left empty if unknown; then null. */
export function amountIfKnown(quantity: QuantityId, spec: AmountSpec): WhenField {
  return {
    kind: 'quantity',
    quantity,
    optional: true,
    ...spec,
    schema: z.number().min(spec.min).max(spec.max).nullable().default(null),
  };
}

/** A length in mm, the most common field. */
export const mm = (
  label: string,
  { why, min, max, step = 1 }: { why: string; min: number; max: number; step?: number },
): QuantityField => amount('length', { label, why, min, max, step });

/** One of a closed list with names for people. */
export function choice<V extends string>(
  values: readonly V[],
  names: Record<V, string>,
  spec: Base,
): ChoiceField<V> {
  const options = values.map((value) => ({ value, label: names[value] }));
  return {
    kind: 'choice',
    options,
    ...spec,
    schema: z.enum(values as readonly [V, ...V[]]) as unknown as z.ZodType<V>,
  };
}

/** A choice that older surveys do not have: they get its first option. */
export function laterChoice<V extends string>(
  values: readonly [V, ...V[]],
  names: Record<V, string>,
  spec: Base,
): ChoiceField<V> {
  const asked = choice(values, names, spec);
  return {
    ...asked,
    usual: values[0],
    schema: z.enum(values).default(values[0] as never) as never,
  };
}

export function flag(spec: Base): FlagField {
  return { kind: 'flag', ...spec, schema: z.boolean() };
}

/** A flag that older surveys do not have: they get “no”. */
export function laterFlag(spec: Base): FlagField {
  return { kind: 'flag', usual: 'no', ...spec, schema: z.boolean().default(false) };
}

export type Fields = Record<string, Field>;
export type SchemasOf<F extends Fields> = { [K in keyof F]: F[K]['schema'] };

/** The Zod shape of a set of fields: form and schema come from the same lines. */
export function schemasOf<F extends Fields>(fields: F): SchemasOf<F> {
  return Object.fromEntries(Object.entries(fields).map(([k, f]) => [k, f.schema])) as SchemasOf<F>;
}

/** Fields that are asked together, as one part of the survey. `id` is their key in the survey object. */
export interface Group {
  id: string;
  title: string;
  fields: Fields;
}

/** A shape of damage: a tile to pick, its dimensions, and its text. */
export interface DamageShape {
  shape: string;
  title: string;
  hint: string;
  /** The name of the damage in a list. */
  named: string;
  /** Dimensions for drawing before any are typed, in base units. */
  typical: Record<string, number>;
  fields: Fields;
}
