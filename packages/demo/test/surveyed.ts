import type { FamilyId, Survey } from '@kelmot/core';
import { demoCards, demoSurvey, openRepairs, surveyedRepairs, systemCards } from '../src/index';

const AT = '2026-11-24T06:00:00Z';
/** A plain survey of every family, from the demo plant. */
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
/** A survey of a family with some of its answers put otherwise, by path. */
export function surveyed(family: FamilyId, answers: Record<string, Leaf>): Survey {
  const copy = structuredClone(base.get(family)) as unknown as Record<string, unknown>;
  for (const [path, leaf] of Object.entries(answers)) {
    const keys = path.split('.');
    const last = keys.pop() as string;
    const holder = keys.reduce<Record<string, unknown>>(
      (o, k) => o[k] as Record<string, unknown>,
      copy,
    );
    holder[last] = leaf;
  }
  return copy as unknown as Survey;
}
