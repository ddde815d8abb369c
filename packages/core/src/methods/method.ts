import { sharedBy } from '../calc/memo';
import type { Intent } from '../materials/words';
import type { Figure } from '../plan/figure';
import type { Schools } from '../plan/schools';
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

const chosen = sharedBy<Schools, string>();
const NONE: Schools = {};

/** Cards that are worked by figures of their own share no minutes with others: lamp, ports, sheets. */
const ownFigures = ({ mix, injection, packUnit, code, version }: WorkUp['card']): string =>
  mix.kind === 'light-cured' || injection || packUnit === 'piece' ? `${code}.${version}` : '';

/** Everything of card and choices that the minutes of the steps hang on: what is alike in it shares them. */
export function minutesKey({
  card,
  coats,
  grade,
  wrap,
  demand,
  aggregatePct,
  context,
}: WorkUp): string {
  const { schools = NONE, library } = context;
  const choices = chosen(schools, '', () => JSON.stringify(schools));
  return `${card.mix.kind}|${card.packUnit}|${card.permission}|${coats}|${grade}|${wrap?.layers}|${aggregatePct}|${
    demand.pressureBar > 0
  }|${card.laminate !== undefined}|${card.service.hardness !== undefined}|${card.postCure?.minutes}|${
    card.postCure?.withoutC
  }|${card.layer.volumeSolidsPct < 100}|${ownFigures(card)}|${library !== undefined}|${choices}`;
}

/** Binds a method to the survey of its own family. */
export function defineMethod<F extends FamilyId>(
  spec: Spec<WorkUp<SurveyOf<F>>> & { family: F },
): Method {
  return {
    needs: () => [],
    figures: () => [],
    cautions: [],
    ...spec,
  } as unknown as Method;
}
