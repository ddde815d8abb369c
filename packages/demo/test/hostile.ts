import { familyOf, SystemCard, type FamilyId, type Survey } from '@kelmot/core';
import fc from 'fast-check';
import { systemCards } from '../src/index';
import { base, withLeaf } from './surveyed';

interface Figure {
  path: string[];
  value: number;
}
/** All numbers in an object, with their paths. */
const figuresIn = (of: unknown, path: string[] = []): Figure[] => {
  if (typeof of === 'number') return [{ path, value: of }];
  if (typeof of !== 'object' || of === null) return [];
  return Object.entries(of).flatMap(([key, part]) => figuresIn(part, [...path, key]));
};

/** A family's survey with the most damages. */
export function fullSurvey(family: string): Survey {
  const survey = base.get(family as FamilyId) as Survey;
  const { mostDamages } = familyOf(family);
  const damages = Array.from(
    { length: mostDamages },
    (_, i) => survey.damages[i % survey.damages.length],
  );
  return { ...survey, damages } as Survey;
}

export interface Hostile {
  survey: Survey;
  card: SystemCard;
}

/** Factors on a figure, as far as the card schema allows, the largest first. */
const FACTORS = [1e6, 1e-6, 1e4, 1e-4, 100, 0.01, 10, 0.1];

/** A card that the import accepts, with some extreme figures, and a survey with the most damages. */
export const hostile = (family: string): fc.Arbitrary<Hostile> => {
  const cards = systemCards.filter((c) => c.families.includes(family));
  const change = fc.tuple(fc.nat(), fc.nat({ max: FACTORS.length - 1 }));
  return fc
    .tuple(fc.constantFrom(...cards), fc.array(change, { minLength: 1, maxLength: 5 }))
    .map(([from, changes]) => {
      const card = changes.reduce((now, [at, first]) => {
        const figures = figuresIn(now);
        const { path, value } = figures[at % figures.length] as Figure;
        const tried = [...FACTORS.slice(first), ...FACTORS.slice(0, first)];
        const made = tried.map((factor) => withLeaf(now, path, value * factor));
        return made.find((c) => SystemCard.safeParse(c).success) ?? now;
      }, from);
      return { survey: fullSurvey(family), card };
    });
};
