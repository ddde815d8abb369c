import type { UnitSystem } from '../units/quantities';
import type { FormNode } from './form';
import { blank, optionOf, unitOf, type Typed, type TypedGroup } from './typed';

type Key = string | number;

/** The part of a typed form at a path; undefined if nothing is typed. */
export function typedAt(typed: Typed | undefined, path: readonly Key[]): Typed | undefined {
  return path.reduce<Typed | undefined>(
    (part, key) =>
      typeof part === 'object' ? (part as Record<Key, Typed | undefined>)[key] : undefined,
    typed,
  );
}

/** A copy of a typed form with the part at a path replaced. */
export function withTyped(
  typed: Typed | undefined,
  [head, ...rest]: readonly Key[],
  part: Typed,
): Typed {
  if (head === undefined) return part;
  if (typeof head === 'number') {
    const list = Array.isArray(typed) ? [...typed] : [];
    list[head] = withTyped(list[head], rest, part);
    return list;
  }
  const group = (typeof typed === 'object' && !Array.isArray(typed) ? typed : {}) as TypedGroup;
  return { ...group, [head]: withTyped(group[head], rest, part) };
}

/** A list with one more row: a copy of its last one, because the next reading is usually similar, or an empty one. */
export function withRow(
  node: Extract<FormNode, { kind: 'list' }>,
  typed: Typed | undefined,
): Typed[] {
  const rows = Array.isArray(typed) ? typed : [];
  return [...rows, rows[rows.length - 1] ?? blank(node.item)];
}

/** A list without one of its rows. */
export const withoutRow = (typed: Typed | undefined, at: number): Typed[] =>
  (Array.isArray(typed) ? typed : []).filter((_, i) => i !== at);

const BARE = /^[-−\d.,\s/]*\d[-−\d.,\s/]*$/;

/** Adds its unit to every bare number, so that a change of unit system does not change what was typed. */
export function withUnitsTyped(node: FormNode, typed: Typed, old: UnitSystem): Typed {
  switch (node.kind) {
    case 'number':
      return node.measure && typeof typed === 'string' && BARE.test(typed)
        ? `${typed.trim()} ${unitOf(node, old)}`
        : typed;
    case 'list':
      return Array.isArray(typed) ? typed.map((t) => withUnitsTyped(node.item, t, old)) : typed;
    case 'variant': {
      const option = optionOf(node, typed);
      return option ? withUnitsTyped(option.node, typed, old) : typed;
    }
    case 'group': {
      if (typeof typed !== 'object' || Array.isArray(typed)) return typed;
      const done = node.nodes.flatMap((n) => {
        const part = typed[n.key];
        return part === undefined ? [] : [[n.key, withUnitsTyped(n, part, old)] as const];
      });
      return { ...typed, ...Object.fromEntries(done) };
    }
    default:
      return typed;
  }
}

/** "dew-point" as a heading: "Dew point". */
export function calcTitle(name: string): string {
  const words = name.replace(/-/g, ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
