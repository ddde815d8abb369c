import { z } from 'zod';
import type { Calc } from '../calc/calc';
import type { FieldUnit } from '../calc/field';
import { shownAs, type FieldName } from '../units/measure';

/** One entry of a calculation's form. Every node except the root has the key of its value. */
export type FormNode =
  | (Named & { kind: 'number'; min: number; max: number; whole: boolean })
  | (Named & { kind: 'choice'; options: string[] })
  | (Named & { kind: 'flag' })
  | (Named & { kind: 'text' })
  | (Named & { kind: 'list'; item: FormNode })
  | (Named & { kind: 'variant'; options: VariantOption[] })
  | (Named & { kind: 'group'; nodes: FormNode[] });

interface Named extends FieldName {
  key: string;
  /** May be absent: it has a default, or is not needed. */
  optional: boolean;
  usual?: unknown;
}
/** One of several forms of a value. */
export interface VariantOption {
  name: string;
  node: Extract<FormNode, { kind: 'group' }>;
  /** Its fixed fields, such as kind: "round". */
  fixed: Record<string, unknown>;
}

/** The part of a Zod schema's JSON Schema, with metadata, that a form needs. */
interface Schema {
  title?: string;
  'x-unit'?: FieldUnit;
  type?: string;
  enum?: string[];
  const?: unknown;
  default?: unknown;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  items?: Schema;
  properties?: Record<string, Schema>;
  required?: string[];
  oneOf?: Schema[];
  anyOf?: Schema[];
}

const nameOf = ({ title = '', 'x-unit': unit }: Schema): FieldName =>
  shownAs({ title, 'x-unit': unit });

function groupOf(
  key: string,
  schema: Schema,
  optional: boolean,
): Extract<FormNode, { kind: 'group' }> {
  const nodes = Object.entries(schema.properties ?? {})
    .filter(([, s]) => s.const === undefined)
    .map(([k, s]) => nodeOf(k, s, !(schema.required ?? []).includes(k)));
  return { kind: 'group', key, ...nameOf(schema), optional, nodes };
}

function optionOf(key: string, schema: Schema): VariantOption {
  const entries = Object.entries(schema.properties ?? {});
  const fixed = Object.fromEntries(
    entries.filter(([, s]) => s.const !== undefined).map(([k, s]) => [k, s.const]),
  );
  const name = Object.values(fixed).map(String)[0] ?? entries.map(([, s]) => s.title).join(', ');
  return { name, node: groupOf(key, schema, false), fixed };
}

function nodeOf(key: string, schema: Schema, optional: boolean): FormNode {
  const named = { key, ...nameOf(schema), optional, usual: schema.default };
  const variants = schema.oneOf ?? schema.anyOf;
  if (variants)
    return { kind: 'variant', ...named, options: variants.map((s) => optionOf(key, s)) };
  if (schema.enum) return { kind: 'choice', ...named, options: schema.enum };
  switch (schema.type) {
    case 'object':
      return groupOf(key, schema, optional);
    case 'array':
      return { kind: 'list', ...named, item: nodeOf(key, schema.items ?? {}, false) };
    case 'boolean':
      return { kind: 'flag', ...named };
    case 'number':
    case 'integer': {
      const min = schema.minimum ?? schema.exclusiveMinimum ?? -Infinity;
      return {
        kind: 'number',
        ...named,
        min,
        max: schema.maximum ?? Infinity,
        whole: schema.type === 'integer',
      };
    }
    default:
      return { kind: 'text', ...named };
  }
}

/** The form of a calculation, made from its input's schema: a new calculation needs no screen. */
export function formOf(calc: Calc): Extract<FormNode, { kind: 'group' }> {
  return groupOf('', z.toJSONSchema(calc.input, { io: 'input' }) as Schema, false);
}
