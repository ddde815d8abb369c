import { sharedBy } from '../calc/memo';
import { minutesKey } from '../methods/method';
import { methodOf } from '../methods/registry';
import type { MilestoneId } from '../materials/card';
import type { Demand } from '../survey/demand';
import type { StationId, StepDraft } from './step';
import { buildMinutes, minutesTo, type Timeline, type WorkUp } from './workUp';

export type { Timeline };

/**
 * Hours of the whole job, isolate to return to service; null where the card has no figure at this temperature.
 * Worked out once for each job: rules, ranking and plan all ask for it.
 */
export function timeline(work: WorkUp): Timeline | null {
  if (work.hours === undefined) work.hours = workOut(work);
  return work.hours;
}

interface StepMinutes {
  prepMin: number;
  /** Building besides mixing and placing: backing, flushing, lamp time, waits that are counted down. */
  besideMin: number;
  cureStepsMin: number;
  acceptMin: number;
}

const shared = sharedBy<Demand, StepMinutes>();

/** Minutes a step takes, with the wait that it starts. */
export const stepTime = (step: Pick<StepDraft, 'minutes' | 'hold'>): number =>
  step.minutes + (step.hold?.kind === 'countdown' ? step.hold.minutes : 0);

/** A step of the cure that begins at the needed milestone, or after all waiting, puts off the return to service. */
export const delays = (step: Pick<StepDraft, 'waitsFor'>, needed: MilestoneId): boolean =>
  (step.waitsFor ?? needed) === needed;

function stepMinutes(work: WorkUp): StepMinutes {
  const method = methodOf(work.survey.family);
  return shared(work.demand, minutesKey(work), () => {
    const steps = method.steps(work);
    const spent = (station: StationId) =>
      steps
        .filter((s) => s.station === station && (station !== 'cure' || delays(s, work.needed)))
        .reduce((sum, s) => sum + stepTime(s), 0);
    const placing = work.batch.ok ? work.batch.batches * work.batch.minutesToPlace * work.coats : 0;
    return {
      prepMin: spent('prep'),
      besideMin: Math.max(0, spent('build') - placing),
      cureStepsMin: spent('cure'),
      acceptMin: spent('accept'),
    };
  });
}

function workOut(work: WorkUp): Timeline | null {
  const mixAndPlace = buildMinutes(work);
  const needed = minutesTo(work, work.needed);
  if (mixAndPlace === null || needed === null) return null;
  const { prepMin, besideMin, cureStepsMin, acceptMin } = stepMinutes(work);
  const buildMin = mixAndPlace + besideMin;
  const cureMin = needed + cureStepsMin;
  return {
    prepMin,
    buildMin,
    cureMin,
    acceptMin,
    readyMin: prepMin + buildMin + cureMin + acceptMin,
  };
}
