import { ambientGateCalc } from '../ambient/ambientGate';
import { dewPointCalc } from '../ambient/dewPoint';
import { windowFindCalc } from '../ambient/windowFind';
import { crackFillCalc } from '../cracks/crackFill';
import { crackMovementCalc } from '../cracks/crackMovement';
import { injectionCalc } from '../cracks/injection';
import { cureClockCalc } from '../cure/cureClock';
import { cureTimeCalc } from '../cure/cureTime';
import { exothermCalc } from '../cure/exotherm';
import { maturityCalc } from '../cure/maturity';
import { readinessCalc } from '../cure/readiness';
import { workingLifeCalc } from '../cure/workingLife';
import { filmCalc } from '../film/film';
import { gritLadderCalc } from '../film/gritLadder';
import { uvPassesCalc } from '../film/uvPasses';
import { beltPatchCalc } from '../geometry/beltPatch';
import { boltSequenceCalc } from '../geometry/boltSequence';
import { clearanceBuildCalc } from '../geometry/clearanceBuild';
import { shapeVolumeCalc } from '../geometry/shapeVolume';
import { tyreCoverCalc } from '../geometry/tyreCover';
import { hardnessCalc } from '../inspect/hardness';
import { holidayVoltageCalc } from '../inspect/holidayVoltage';
import { survivalCalc } from '../inspect/survival';
import { wallLifeCalc } from '../inspect/wallLife';
import { batchPlanCalc } from '../mix/batchPlan';
import { dissolveCalc } from '../mix/dissolve';
import { kitPickCalc } from '../mix/kitPick';
import { mixCheckCalc } from '../mix/mixCheck';
import { mixSplitCalc } from '../mix/mixSplit';
import { mortarBatchCalc } from '../mix/mortarBatch';
import { rubberCrumbCalc } from '../mix/rubberCrumb';
import { wrapDesignCalc } from '../wrap/wrapDesign';
import { wrapLayCalc } from '../wrap/wrapLay';
import type { Calc } from '../calc/calc';

/** Every calculation that can be called by name, grouped as a job uses them. */
export const calcs: readonly Calc[] = [
  dewPointCalc,
  ambientGateCalc,
  windowFindCalc,
  cureTimeCalc,
  cureClockCalc,
  workingLifeCalc,
  exothermCalc,
  maturityCalc,
  readinessCalc,
  mixSplitCalc,
  mixCheckCalc,
  batchPlanCalc,
  kitPickCalc,
  mortarBatchCalc,
  dissolveCalc,
  rubberCrumbCalc,
  filmCalc,
  shapeVolumeCalc,
  beltPatchCalc,
  crackFillCalc,
  wrapLayCalc,
  boltSequenceCalc,
  clearanceBuildCalc,
  wrapDesignCalc,
  crackMovementCalc,
  injectionCalc,
  uvPassesCalc,
  gritLadderCalc,
  tyreCoverCalc,
  holidayVoltageCalc,
  hardnessCalc,
  wallLifeCalc,
  survivalCalc,
];

export const calcByName: ReadonlyMap<string, Calc> = new Map(calcs.map((c) => [c.name, c]));
