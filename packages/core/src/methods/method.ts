import type { Intent } from '../materials/words';
import type { Figure } from '../plan/figure';
import type { StepDraft } from '../plan/step';
import type { Need } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { FamilyId, SurveyOf } from '../survey/survey';

/** How one repair family is done: its steps, what it needs besides its system, how it comes off again. */
export interface Method {
  family: FamilyId;
  steps: (work: WorkUp) => StepDraft[];
  /** Aids, second materials and plain things. */
  needs: (work: WorkUp) => Need[];
  /** Figures of its own, with their working, beside those that every plan has. */
  figures: (work: WorkUp) => Figure[];
  /** How this repair would come off. */
  removal: (work: WorkUp) => string[];
  /** Cautions of the trade that no card names, by id of the table of cautions. */
  cautions: readonly string[];
  /** What of the card the minutes of its prep, cure and accept steps hang on: cards alike in it share them. */
  minutesHangOn: (work: WorkUp) => string;
  /** Days to the next look after return to service. */
  nextLookDays: Record<Intent, number>;
}

type Spec<W> = Pick<Method, 'nextLookDays'> &
  Partial<Pick<Method, 'cautions'>> & {
    steps: (work: W) => StepDraft[];
    needs?: (work: W) => Need[];
    figures?: (work: W) => Figure[];
    removal: (work: W) => string[];
  };

/** Everything of a card that the shared steps take their minutes from. */
const usualKey = ({ card, coats, grade, wrap, demand, aggregatePct }: WorkUp): string =>
  `${card.mix.kind}|${card.packUnit}|${card.permission}|${coats}|${grade}|${wrap?.layers}|${aggregatePct}|${
    demand.pressureBar > 0
  }|${card.laminate !== undefined}|${card.service.hardness !== undefined}|${card.postCure?.minutes}|${
    card.postCure?.withoutC
  }|${card.crackMm?.max}|${card.injection?.maxSpacingMm}`;

/** Binds a method to the survey of its own family. */
export function defineMethod<F extends FamilyId>(
  spec: Spec<WorkUp<SurveyOf<F>>> & { family: F },
): Method {
  return {
    needs: () => [],
    figures: () => [],
    cautions: [],
    minutesHangOn: usualKey,
    ...spec,
  } as unknown as Method;
}
