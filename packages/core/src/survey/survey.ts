import { z } from 'zod';
import type { SurveyFamily } from './family';
import { RebuildSurvey, rebuildFamily } from './f2';

/** Every survey, told apart by family. A new family adds its variant here and its file beside f2. */
export const Survey = z.discriminatedUnion('family', [RebuildSurvey]);
export type Survey = z.infer<typeof Survey>;
export type FamilyId = Survey['family'];

export const families: readonly SurveyFamily[] = [rebuildFamily];

/** The family by its id; throws on one that is not known, since ids come from parsed surveys. */
export function familyOf(id: string): SurveyFamily {
  const found = families.find((f) => f.id === id);
  if (!found) throw new Error(`no repair family ${id}`);
  return found;
}

/** The name a repair goes by in lists: what is wrong, not what it is on. */
export function surveyTitle(survey: Survey): string {
  const [first] = survey.damages;
  const shape = familyOf(survey.family).shapes.find((s) => s.shape === first?.shape);
  const name = shape?.named ?? 'damage';
  return survey.damages.length > 1 ? `${survey.damages.length} × ${name}` : name;
}
