import { ambientGateCalc } from '../ambient/ambientGate';
import { dewPointCalc } from '../ambient/dewPoint';
import { cureTimeCalc } from '../cure/cureTime';
import { workingLifeCalc } from '../cure/workingLife';
import { filmCalc } from '../film/film';
import { shapeVolumeCalc } from '../geometry/shapeVolume';
import { hardnessCalc } from '../inspect/hardness';
import { batchPlanCalc } from '../mix/batchPlan';
import { kitPickCalc } from '../mix/kitPick';
import { mixCheckCalc } from '../mix/mixCheck';
import { mixSplitCalc } from '../mix/mixSplit';
import type { Calc } from './calc';

/** Every calculation that can be reached by name, in the order the stations use them. */
export const calcs: readonly Calc[] = [
  dewPointCalc,
  ambientGateCalc,
  cureTimeCalc,
  workingLifeCalc,
  mixSplitCalc,
  mixCheckCalc,
  batchPlanCalc,
  kitPickCalc,
  filmCalc,
  shapeVolumeCalc,
  hardnessCalc,
];

export const calcByName: ReadonlyMap<string, Calc> = new Map(calcs.map((c) => [c.name, c]));
