import { prepKindOf, type PrepKind, type Tool } from '../materials/substrates';
import type { AidUse } from '../materials/card';
import { aidFor } from '../work/aids';
import { toolUsed, type Work } from '../work/work';

type Asked = Pick<Work, 'demand' | 'survey' | 'trade'>;
const kindOf = ({ demand }: Asked): PrepKind => prepKindOf(demand.material);

/** How many times longer a tool takes than a power tool. */
const slower = (work: Asked): number => {
  const { handTimes, nonsparkTimes } = work.trade.pace;
  const times: Partial<Record<Tool, number>> = { hand: handTimes, nonspark: nonsparkTimes };
  return times[toolUsed(work)] ?? 1;
};

/** Minutes to clean the prepared area once. */
export const wipeMinutes = (work: Asked): number =>
  5 + work.demand.prepMm2 / 100 / work.trade.prepRate[`${kindOf(work)}WipeCm2Min`];

/** Minutes to bring the prepared area to its grade. */
export const gradeMinutes = (work: Asked): number => {
  const {
    [`${kindOf(work)}SetUpMin` as const]: setUp,
    [`${kindOf(work)}GradeCm2Min` as const]: rate,
  } = work.trade.prepRate;
  return setUp + (work.demand.prepMm2 / 100 / rate) * slower(work);
};

/** Above the humidity of the trade's constants a flash-off gets double time. */
export const isHumid = ({ survey, trade }: Asked): boolean =>
  survey.readings.rhPct > trade.pace.humidPct;

/** Minutes that an aid takes to dry in this air, by its card. */
export function flashMinutes(work: Work, use: AidUse): number {
  const usual = aidFor(work, use)?.flashOffMinutes ?? work.trade.pace.unknownDryMin;
  return isHumid(work) ? usual * 2 : usual;
}
