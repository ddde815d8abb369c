import { prepKindOf, type PrepKind } from '../../materials/substrates';
import type { WorkUp } from '../../plan/workUp';

/** A fitter's usual pace by what is prepared: minutes to set up, and cm² a minute for wiping and for grading. */
const PACE: Record<PrepKind, { setUp: number; wipeCm2: number; gradeCm2: number }> = {
  metal: { setUp: 15, wipeCm2: 60, gradeCm2: 20 },
  concrete: { setUp: 15, wipeCm2: 400, gradeCm2: 250 },
  rubber: { setUp: 8, wipeCm2: 80, gradeCm2: 40 },
  plastic: { setUp: 8, wipeCm2: 60, gradeCm2: 40 },
  film: { setUp: 8, wipeCm2: 80, gradeCm2: 60 },
  laminate: { setUp: 10, wipeCm2: 10, gradeCm2: 0.5 },
};

const paceOf = (work: Pick<WorkUp, 'demand'>) => PACE[prepKindOf(work.demand.material)];

/** Minutes to clean the prepared area once over. */
export const wipeMinutes = (work: Pick<WorkUp, 'demand'>): number =>
  5 + work.demand.prepMm2 / 100 / paceOf(work).wipeCm2;

/** Minutes to bring the prepared area to its grade. */
export const gradeMinutes = (work: Pick<WorkUp, 'demand'>): number => {
  const pace = paceOf(work);
  return pace.setUp + work.demand.prepMm2 / 100 / pace.gradeCm2;
};
