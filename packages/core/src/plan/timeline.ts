import { sharedBy } from '../calc/memo';
import { methodOf } from '../methods/registry';
import type { Demand } from '../survey/demand';
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

interface StepMinutes {
  prepMin: number;
  cureStepsMin: number;
  acceptMin: number;
}

const shared = sharedBy<Demand, StepMinutes>();

/** Minutes of the steps of a family; one whose steps are not listed goes by the tradesman’s usual minutes. */
function stepMinutes(work: WorkUp): StepMinutes {
  const { demand, survey } = work;
  const method = methodOf(survey.family);
  if (!method) return { prepMin: demand.prepMin, cureStepsMin: 0, acceptMin: demand.acceptMin };
  return shared(demand, method.minutesHangOn(work), () => {
    const steps = method.steps(work);
    const spent = (station: string) =>
      steps.filter((s) => s.station === station).reduce((sum, s) => sum + s.minutes, 0);
    return { prepMin: spent('prep'), cureStepsMin: spent('cure'), acceptMin: spent('accept') };
  });
}

function workOut(work: WorkUp): Timeline | null {
  const buildMin = buildMinutes(work);
  const needed = minutesTo(work, work.needed);
  if (buildMin === null || needed === null) return null;
  const { prepMin, cureStepsMin, acceptMin } = stepMinutes(work);
  const cureMin = needed + cureStepsMin;
  return {
    prepMin,
    buildMin,
    cureMin,
    acceptMin,
    readyMin: prepMin + buildMin + cureMin + acceptMin,
  };
}
