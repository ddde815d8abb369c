import { t } from '../text/text';
import { type Issue } from '../calc/issues';
import { shortened } from '../calc/shortened';
import { formatQuantity } from '../units/format';
import { parseQuantity } from '../units/parse';
import { fromBase, quantity, type UnitSystem } from '../units/quantities';
import type { FormNode } from './form';

/** A form as typed: the shape of the input, with every number as its text. */
export type Typed = string | boolean | Typed[] | TypedGroup;
export interface TypedGroup {
  [key: string]: Typed;
}

/** Limits below or above these protect the calculation, not the person: they are not shown. */
const TINY = 1e-3;
const VAST = 1e9;

type NumberNode = Extract<FormNode, { kind: 'number' }>;

/** The unit of a bare number in this field. */
export function unitOf(node: NumberNode, system: UnitSystem): string {
  return node.measure ? node.measure[system] : node.fixedUnit;
}

/** A number as text for the form: bare in metric; with its unit in another system. */
function textOf(node: NumberNode, x: number, system: UnitSystem): string {
  if (!node.measure) return String(x);
  const { quantity: id, factor, metric } = node.measure;
  const unit = quantity(id).units.find((u) => u.symbol === metric);
  const shown = unit ? Number(fromBase(x * factor, unit).toPrecision(12)) : x;
  const bare = node.measure[system] === metric || !unit;
  return bare ? String(shown) : `${shown} ${metric}`;
}

/** The typed form of an input, for an example or a link. What does not fit the form is left out. */
export function typedOf(node: FormNode, value: unknown, system: UnitSystem): Typed | undefined {
  switch (node.kind) {
    case 'number':
      return typeof value === 'number' ? textOf(node, value, system) : undefined;
    case 'flag':
      return typeof value === 'boolean' ? value : undefined;
    case 'choice':
    case 'text':
      return typeof value === 'string' ? value : undefined;
    case 'list':
      return Array.isArray(value)
        ? value.map((v) => typedOf(node.item, v, system) ?? blank(node.item))
        : undefined;
    case 'variant': {
      const given = value as Record<string, unknown> | null;
      if (typeof given !== 'object' || given === null) return undefined;
      const option =
        node.options.find((o) =>
          Object.keys(o.fixed).length > 0
            ? Object.entries(o.fixed).every(([k, v]) => given[k] === v)
            : o.node.nodes.every((n) => n.key in given),
        ) ?? node.options[0];
      return option
        ? { ...(typedOf(option.node, value, system) as TypedGroup), '': option.name }
        : undefined;
    }
    case 'group': {
      const given = (value ?? {}) as Record<string, unknown>;
      const entries = node.nodes.flatMap((n) => {
        const typed = typedOf(n, given[n.key], system);
        return typed === undefined ? [] : [[n.key, typed] as const];
      });
      return Object.fromEntries(entries);
    }
  }
}

/** A node with nothing typed. */
export function blank(node: FormNode): Typed {
  switch (node.kind) {
    case 'flag':
      return node.usual === true;
    case 'list':
      return [blank(node.item)];
    case 'group':
      return {};
    case 'variant':
      return { '': node.options[0]?.name ?? '' };
    case 'choice':
      return node.options[0] ?? '';
    default:
      return '';
  }
}

/** The chosen option of a variant. */
export function optionOf(node: Extract<FormNode, { kind: 'variant' }>, typed: Typed | undefined) {
  const name = typeof typed === 'object' && !Array.isArray(typed) ? typed[''] : undefined;
  return node.options.find((o) => o.name === name) ?? node.options[0];
}

interface Reading {
  value: unknown;
  issues: Issue[];
}

const fine = (value: unknown): Reading => ({ value, issues: [] });
const wrong = (path: string, message: string): Reading => ({
  value: undefined,
  issues: [{ path, message }],
});
const join = (path: string, key: string | number) => (path ? `${path}.${key}` : String(key));

/** A limit in the typed unit. */
function limit(node: NumberNode, x: number, system: UnitSystem): string {
  if (!node.measure) return `${x}${node.fixedUnit ? ` ${node.fixedUnit}` : ''}`;
  return formatQuantity(x * node.measure.factor, node.measure.quantity, system);
}

function readNumber(
  node: NumberNode,
  { text, path, system }: { text: string; path: string; system: UnitSystem },
): Reading {
  if (text.trim() === '')
    return node.optional
      ? fine(undefined)
      : wrong(path, `Type ${node.whole ? t('a whole number') : 'a number'}.`);
  let x: number;
  if (node.measure) {
    const { quantity: id, factor } = node.measure;
    const read = parseQuantity(text, id, { system, unit: unitOf(node, system) });
    if (!read.ok) return wrong(path, read.message);
    x = read.value / factor;
  } else {
    x = Number(text.trim().replace(',', '.').replace('−', '-'));
    if (!Number.isFinite(x))
      return wrong(
        path,
        t('“{text}” is not a number. Write it like 12 or 0.5.', { text: shortened(text) }),
      );
  }
  if (node.whole && !Number.isInteger(x)) return wrong(path, t('Must be a whole number.'));
  const [low, high] = [node.min, node.max];
  const least =
    low > 0 && low < TINY ? t('over 0') : t('{node} or more', { node: limit(node, low, system) });
  const range =
    high < VAST && Number.isFinite(low)
      ? t(', {node} the most', { node: limit(node, high, system) })
      : '';
  if (x < low) return wrong(path, t('Too small: must be {least}{range}.', { least, range }));
  if (x > high)
    return wrong(path, t('Too big: {node} is the most.', { node: limit(node, high, system) }));
  return fine(x);
}

/** Reads a typed form into its calculation's input, with errors by path. Nothing typed is changed. */
export function readTyped(
  node: FormNode,
  typed: Typed | undefined,
  { system, path = '' }: { system: UnitSystem; path?: string },
): Reading {
  switch (node.kind) {
    case 'number':
      return readNumber(node, { text: typeof typed === 'string' ? typed : '', path, system });
    case 'flag':
      return fine(typed === true || (typed === undefined && node.usual === true));
    case 'choice':
      return typeof typed === 'string' && node.options.includes(typed)
        ? fine(typed)
        : node.optional
          ? fine(undefined)
          : wrong(path, t('Choose one: {options}.', { options: node.options.join(', ') }));
    case 'text': {
      const text = typeof typed === 'string' ? typed.trim() : '';
      if (text) return fine(text);
      return node.optional ? fine(undefined) : wrong(path, t('Type something.'));
    }
    case 'list': {
      const items = (Array.isArray(typed) ? typed : []).map((t, i) =>
        readTyped(node.item, t, { system, path: join(path, i) }),
      );
      return { value: items.map((i) => i.value), issues: items.flatMap((i) => i.issues) };
    }
    case 'variant': {
      const option = optionOf(node, typed);
      if (!option) return wrong(path, t('Choose one.'));
      const read = readTyped(option.node, typed, { system, path });
      return { value: { ...option.fixed, ...(read.value as object) }, issues: read.issues };
    }
    case 'group': {
      const given = (typeof typed === 'object' && !Array.isArray(typed) ? typed : {}) as TypedGroup;
      const reads = node.nodes.map(
        (n) => [n.key, readTyped(n, given[n.key], { system, path: join(path, n.key) })] as const,
      );
      const entries = reads.filter(([, r]) => r.value !== undefined).map(([k, r]) => [k, r.value]);
      return { value: Object.fromEntries(entries), issues: reads.flatMap(([, r]) => r.issues) };
    }
  }
}
