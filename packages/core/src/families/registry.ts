import { z } from 'zod';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import { f1 } from './f1';
import { f10 } from './f10';
import { f11 } from './f11';
import { f12 } from './f12';
import { f13 } from './f13';
import { f14 } from './f14';
import { f15 } from './f15';
import { f16 } from './f16';
import { f2 } from './f2';
import { f3 } from './f3';
import { f4 } from './f4';
import { f5 } from './f5';
import { f6 } from './f6';
import { f7 } from './f7';
import { f8 } from './f8';
import { f9 } from './f9';
import type { Family } from '../family/family';

/** Every family, in the order they are offered. A new family is added here, with its folder. */
const FAMILIES = [f1, f2, f3, f4, f5, f6, f7, f8, f9, f10, f11, f12, f13, f14, f15, f16] as const;

type SchemasOf<T extends readonly { schema: z.ZodType }[]> = { [K in keyof T]: T[K]['schema'] };

/** Every survey, distinguished by family. */
export const Survey = z.discriminatedUnion(
  'family',
  FAMILIES.map((f) => f.schema) as unknown as SchemasOf<typeof FAMILIES>,
);
export type Survey = z.infer<typeof Survey>;
export type FamilyId = Survey['family'];
export type SurveyOf<F extends FamilyId> = Extract<Survey, { family: F }>;
export type Damage = Survey['damages'][number];

const known = new Map<string, Family>(FAMILIES.map((f) => [f.id, f]));

/** All registered families, in the order to offer them. */
export const families = (): readonly Family[] => [...known.values()];

/** Whether a family has this id. */
export const isFamily = (id: string): id is FamilyId => known.has(id);

/** Registers one more family at run time, for plug-ins and tests; returns a function that removes it. */
export function addFamily(family: Family): () => void {
  if (known.has(family.id)) throw new Error(`there is a family ${family.id} already`);
  known.set(family.id, family);
  return () => known.delete(family.id);
}

/** The family by its id; throws if it is unknown, because ids come from parsed surveys. */
export function familyOf(id: string): Family {
  const found = known.get(id);
  if (!found) throw new Error(`no repair family ${id}`);
  return found;
}

/** What a survey demands from a material, computed by its family. */
export const demandOfSurvey = (survey: Survey, site: SiteSettings): Demand =>
  familyOf(survey.family).demand(survey as never, site);

/** Families in the order to offer them for a kind of asset: the usual ones first. */
export function familiesFor(kind: string | null): Family[] {
  const fits = (f: Family) => kind !== null && f.kinds.includes(kind);
  return [...families().filter(fits), ...families().filter((f) => !fits(f))];
}

/** The title of a repair in lists: the damage, not the asset. */
export function surveyTitle(survey: Survey): string {
  const [first] = survey.damages;
  const shape = familyOf(survey.family).shapes.find((s) => s.shape === first?.shape);
  const name = shape?.named ?? 'damage';
  return survey.damages.length > 1 ? `${survey.damages.length} × ${name}` : name;
}
