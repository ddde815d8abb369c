import type { FamilyId, Survey } from '@kelmot/core';
import { demoCards, demoSurvey, openRepairs, surveyedRepairs, systemCards } from '../src/index';

const AT = '2026-11-24T06:00:00Z';
/** An ordinary survey of every family, from the demo plant. */
export const base = new Map<FamilyId, Survey>(
  [...surveyedRepairs.filter((r) => r.tag !== 'WL-2'), ...openRepairs.slice(0, 1)].map((r) => [
    r.survey.family,
    demoSurvey(r.tag, null, AT, r.survey),
  ]),
);
export const known = { library: demoCards };
/** A demo card by its code. */
export const card = (code: string) => {
  const found = systemCards.find((c) => c.code === code);
  if (!found) throw new Error(code);
  return found;
};

export type Leaf = string | number | boolean | null;
type Holder = Record<string, unknown>;
/** A deep copy with one changed leaf. */
export function withLeaf<T extends object>(of: T, path: readonly string[], leaf: Leaf): T {
  const copy = structuredClone(of);
  const holder = path.slice(0, -1).reduce((at, key) => at[key] as Holder, copy as Holder);
  holder[path.at(-1) as string] = leaf;
  return copy;
}

/** A survey of a family with some changed answers, by path. */
export const surveyed = (family: FamilyId, answers: Record<string, Leaf>): Survey =>
  Object.entries(answers).reduce(
    (survey, [path, leaf]) => withLeaf(survey, path.split('.'), leaf),
    structuredClone(base.get(family) as Survey),
  );
