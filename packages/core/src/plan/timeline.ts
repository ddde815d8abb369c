import { methodOf } from '../methods/registry';
import { buildMinutes, minutesTo, type WorkUp } from './workUp';

export interface Timeline {
  prepMin: number;
  buildMin: number;
  /** From the last mix to the milestone the service asks for. */
  cureMin: number;
  acceptMin: number;
  readyMin: number;
}

const known = new WeakMap<WorkUp, Timeline | null>();

/**
 * Hours of the whole job, isolate to return to service; null where the card has no figure at this temperature.
 * Worked out once for each job: rules, ranking and plan all ask for it.
 */
export function timeline(work: WorkUp): Timeline | null {
  const before = known.get(work);
  if (before !== undefined) return before;
  const times = workOut(work);
  known.set(work, times);
  return times;
}

function workOut(work: WorkUp): Timeline | null {
  const buildMin = buildMinutes(work);
  const needed = minutesTo(work, work.needed);
  if (buildMin === null || needed === null) return null;
  const { demand } = work;
  const steps = methodOf(work.survey.family)?.steps(work);
  const spent = (station: string) =>
    (steps ?? []).filter((s) => s.station === station).reduce((sum, s) => sum + s.minutes, 0);
  // A family whose steps are not listed goes by the tradesman’s usual minutes.
  const prepMin = steps ? spent('prep') : demand.prepMin;
  const acceptMin = steps ? spent('accept') : demand.acceptMin;
  const cureMin = needed + spent('cure');
  return {
    prepMin,
    buildMin,
    cureMin,
    acceptMin,
    readyMin: prepMin + buildMin + cureMin + acceptMin,
  };
}
