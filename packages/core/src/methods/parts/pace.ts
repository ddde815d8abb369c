import { prepKindOf, type PrepKind } from '../../materials/substrates';
import { cureTime } from '../../cure/cureTime';
import type { AidCard, MilestoneId, SystemCard } from '../../materials/card';
import type { Help } from '../../materials/words';
import { aidFor, helperFor } from '../../plan/supplies';
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

/** Humid air slows a flash-off: over this it is given twice the time. */
export const HUMID_PCT = 75;
/** Where no card of an aid or a second material is at hand, its maker’s sheet is asked; this is what is planned with. */
const UNKNOWN_MIN = 15;

/** Minutes an aid takes to dry in this air, by its card. */
export function flashMinutes(work: WorkUp, use: AidCard['use']): number {
  const usual = aidFor(work.context.library ?? [], use)?.flashOffMinutes ?? UNKNOWN_MIN;
  return work.survey.readings.rhPct > HUMID_PCT ? usual * 2 : usual;
}

/** Minutes to a moment of a card’s cure at today’s surface. */
export function minutesOf(card: SystemCard | null, id: MilestoneId, work: WorkUp): number {
  const points = card?.cure.milestones[id];
  const at = points && cureTime({ points, tempC: work.survey.readings.surfaceC });
  return at?.ok ? at.minutes : UNKNOWN_MIN;
}

/** The same of the second material that helps. */
export const helpMinutes = (work: WorkUp, help: Help, id: MilestoneId): number =>
  minutesOf(helperFor(work, help), id, work);
