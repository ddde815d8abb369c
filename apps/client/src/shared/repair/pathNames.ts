import { familyOf, type FamilyId } from '@kelmot/core';

/** The label of a survey field by its path, for “change …”. */
export function pathName(family: FamilyId, path: string): string {
  const { shapes, groups } = familyOf(family);
  const key = path.split('.').at(-1) ?? path;
  const fields = [...groups.map((g) => g.fields), ...shapes.map((s) => s.fields)];
  const label = fields.map((f) => f[key]?.label).find((l) => l !== undefined) ?? key;
  const index = /^damages\.(\d+)\./.exec(path)?.[1];
  return index && index !== '0' ? `${label} (${Number(index) + 1})` : label;
}
