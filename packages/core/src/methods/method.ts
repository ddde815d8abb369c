import type { Intent } from '../materials/words';
import type { StepDraft } from '../plan/step';
import type { WorkUp } from '../plan/workUp';
import type { FamilyId, SurveyOf } from '../survey/survey';

/** How one repair family is done: its steps and when it is looked at again. One file a family. */
export interface Method {
  family: FamilyId;
  steps: (work: WorkUp) => StepDraft[];
  /** What of the card the minutes of its prep, cure and accept steps hang on: cards alike in it share them. */
  minutesHangOn: (work: WorkUp) => string;
  /** Days to the next look after return to service. */
  nextLookDays: Record<Intent, number>;
}

/** Binds a method to the survey of its own family. */
export function defineMethod<F extends FamilyId>(
  spec: Omit<Method, 'family' | 'steps' | 'minutesHangOn'> & {
    family: F;
    steps: (work: WorkUp<SurveyOf<F>>) => StepDraft[];
    minutesHangOn: (work: WorkUp<SurveyOf<F>>) => string;
  },
): Method {
  return spec as unknown as Method;
}
