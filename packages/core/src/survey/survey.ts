import { z } from 'zod';
import type { SiteSettings } from '../plan/site';
import type { Demand } from './demand';
import { flangeFamily, FlangeSurvey } from './f1';
import { yardCrackFamily, YardCrackSurvey } from './f10';
import { wallCrackFamily, WallCrackSurvey } from './f11';
import { tankFamily, TankSurvey } from './f12';
import { sumpFamily, SumpSurvey } from './f13';
import { panelFamily, PanelSurvey } from './f14';
import { boardFamily, BoardSurvey } from './f15';
import { mattingFamily, MattingSurvey } from './f16';
import { RebuildSurvey, rebuildFamily } from './f2';
import { bracketFamily, BracketSurvey } from './f3';
import { pipeLeakFamily, PipeLeakSurvey } from './f4';
import { pipeWrapFamily, PipeWrapSurvey } from './f5';
import { beltFamily, BeltSurvey } from './f6';
import { tyreFamily, TyreSurvey } from './f7';
import { floorCrackFamily, FloorCrackSurvey } from './f8';
import { floorPatchFamily, FloorPatchSurvey } from './f9';
import type { SurveyFamily } from './family';

/** Every survey, told apart by family. A new family adds its variant here and its file beside the others. */
export const Survey = z.discriminatedUnion('family', [
  FlangeSurvey,
  RebuildSurvey,
  BracketSurvey,
  PipeLeakSurvey,
  PipeWrapSurvey,
  BeltSurvey,
  TyreSurvey,
  FloorCrackSurvey,
  FloorPatchSurvey,
  YardCrackSurvey,
  WallCrackSurvey,
  TankSurvey,
  SumpSurvey,
  PanelSurvey,
  BoardSurvey,
  MattingSurvey,
]);
export type Survey = z.infer<typeof Survey>;
export type FamilyId = Survey['family'];
export type SurveyOf<F extends FamilyId> = Extract<Survey, { family: F }>;

export const families: readonly SurveyFamily[] = [
  flangeFamily,
  rebuildFamily,
  bracketFamily,
  pipeLeakFamily,
  pipeWrapFamily,
  beltFamily,
  tyreFamily,
  floorCrackFamily,
  floorPatchFamily,
  yardCrackFamily,
  wallCrackFamily,
  tankFamily,
  sumpFamily,
  panelFamily,
  boardFamily,
  mattingFamily,
];

/** The family by its id; throws on one that is not known, since ids come from parsed surveys. */
export function familyOf(id: string): SurveyFamily {
  const found = families.find((f) => f.id === id);
  if (!found) throw new Error(`no repair family ${id}`);
  return found;
}

/** What a survey asks of a material, worked out by its own family. */
export const demandOfSurvey = (survey: Survey, site: SiteSettings): Demand =>
  familyOf(survey.family).demand(survey as never, site);

/** Families in the order to offer them for a kind of asset: those found on it first. */
export function familiesFor(kind: string | null): SurveyFamily[] {
  const fits = (f: SurveyFamily) => kind !== null && f.kinds.includes(kind);
  return [...families.filter(fits), ...families.filter((f) => !fits(f))];
}

/** The name a repair goes by in lists: what is wrong, not what it is on. */
export function surveyTitle(survey: Survey): string {
  const [first] = survey.damages;
  const shape = familyOf(survey.family).shapes.find((s) => s.shape === first?.shape);
  const name = shape?.named ?? 'damage';
  return survey.damages.length > 1 ? `${survey.damages.length} × ${name}` : name;
}
