import { prepKindOf, type PrepKind } from '../materials/substrates';
import type { AidUse } from '../materials/card';
import { aidFor } from '../work/aids';
import { toolUsed, type Work } from '../work/work';

/** A fitter's usual rate by substrate: minutes to set up, and cm² a minute for wiping and for grading. */
const PACE: Record<PrepKind, { setUp: number; wipeCm2: number; gradeCm2: number }> = {
  metal: { setUp: 15, wipeCm2: 60, gradeCm2: 20 },
  concrete: { setUp: 15, wipeCm2: 400, gradeCm2: 250 },
  rubber: { setUp: 8, wipeCm2: 80, gradeCm2: 40 },
  plastic: { setUp: 8, wipeCm2: 60, gradeCm2: 40 },
  film: { setUp: 8, wipeCm2: 80, gradeCm2: 60 },
  laminate: { setUp: 10, wipeCm2: 10, gradeCm2: 0.5 },
};
/** A hand tool or a non-sparking tool takes this many times longer than a power tool. */
const SLOWER = { hand: 2.5, nonspark: 1.4, power: 1, bristle: 1, blast: 1 } as const;

type Asked = Pick<Work, 'demand' | 'survey'>;
const paceOf = ({ demand }: Asked) => PACE[prepKindOf(demand.material)];

/** Minutes to clean the prepared area once. */
export const wipeMinutes = (work: Asked): number =>
  5 + work.demand.prepMm2 / 100 / paceOf(work).wipeCm2;

/** Minutes to bring the prepared area to its grade. */
export const gradeMinutes = (work: Asked): number => {
  const pace = paceOf(work);
  return pace.setUp + (work.demand.prepMm2 / 100 / pace.gradeCm2) * SLOWER[toolUsed(work)];
};

/** Above this humidity a flash-off gets double time. */
const HUMID_PCT = 75;
/** Planned drying time if no card of an aid is available: its maker’s sheet decides, minutes. */
const UNKNOWN_MIN = 15;

export const isHumid = ({ survey }: Asked): boolean => survey.readings.rhPct > HUMID_PCT;

/** Minutes that an aid takes to dry in this air, by its card. */
export function flashMinutes(work: Work, use: AidUse): number {
  const usual = aidFor(work, use)?.flashOffMinutes ?? UNKNOWN_MIN;
  return isHumid(work) ? usual * 2 : usual;
}
